// `npm start`: your own workshop, kept in AURANTIA_DATA or your user's data folder.
import { built, installed, serve } from './ready.mjs';

await installed();
await built();
await serve([], {});
