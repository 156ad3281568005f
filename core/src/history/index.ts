export { changesBetween } from './changes-between';
