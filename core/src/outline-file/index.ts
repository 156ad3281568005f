export { outlineFromSvg, type ReadOutline } from './svg-outline';
