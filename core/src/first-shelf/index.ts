export { typicalShelf } from './typical-shelf';
