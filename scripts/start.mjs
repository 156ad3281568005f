// `npm start`: your own workshop, kept in AURANTIA_DATA or your user's data folder; `-- --share` lets in a phone or tablet.
import { built, installed, serve } from './ready.mjs';

await installed();
await built();
await serve(process.argv.slice(2), {});
