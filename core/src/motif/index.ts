export * from './outline';
export * from './plain-outlines';
export * from './place-motif';
export * from './scatter-places';
export * from './outline-fault';
