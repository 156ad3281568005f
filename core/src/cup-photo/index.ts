export * from './place-finder';
export * from './seen-cup';
export * from './read-cup-photo';
export * from './card-seen';
export * from './starting-handles';
export * from './cup-outline';
