export * from './shelf-item';
export * from './glue-ways';
export * from './starting-item';
export * from './leftover-mix';
export * from './certainty';
export * from './ledger';
export * from './find-on-shelf';
export * from './item-words';
