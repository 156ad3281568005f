export * from './cups-at-once';
export * from './left-over';
export * from './shared-batches';
