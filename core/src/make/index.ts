export * from './make';
export * from './make-of';
export * from './log-entry';
export * from './bench';
export * from './bench-words';
export * from './over-poured';
export * from './taken';
export * from './standing';
