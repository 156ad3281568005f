/* What a hand does to a fade, and what would help one: asked for only where a fade is open, hence a door of its own. */
export * from './design/change-fades';
export * from './plan/fade-helps';
export * from './plan/with-matching-base';
