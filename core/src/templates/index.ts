export * from './template';
export * from './templates-of';
export * from './template-svg';
export * from './template-pages';
export { decalTemplate } from './decal-template';
export { FILM_HOLD, outlineFilm } from './outline-film';
