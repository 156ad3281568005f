// What tests and campaigns start the program from, bundled: by Jest before its tests, or by itself.
import { fileURLToPath } from 'node:url';
import { bundled } from './ready.mjs';

export default bundled;
if (process.argv[1] === fileURLToPath(import.meta.url)) await bundled();
