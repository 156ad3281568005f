export * from './shelf-item';
export * from './glue-ways';
export * from './starting-item';
export * from './leftover-mix';
export * from './certainty';
