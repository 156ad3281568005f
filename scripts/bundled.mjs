// What the tests start the program from.
export { bundled as default } from './ready.mjs';
