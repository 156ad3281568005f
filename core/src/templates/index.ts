export * from './template';
export * from './templates-of';
export * from './template-svg';
export * from './template-pages';
export { FILM_HOLD, outlineFilm } from './outline-film';
