export * from './shelf-item';
export * from './glue-ways';
