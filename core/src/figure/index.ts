export * from './projection';
export * from './standing';
export * from './body-outline';
export * from './mouth';
export * from './handle-loop';
export * from './painted-handle';
export * from './seen-wall';
export * from './painted-cup';
