export * from './columns';
export * from './items-of-table';
export * from './read-table';
export * from './write-table';
