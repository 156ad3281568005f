export * from './strings-on-cup';
export * from './top-edge';
