export * from './photo-colours';
