// `npm run demo`: the workshop “Quince & Ember” on a database of its own; `-- --fresh` makes it anew.
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { built, installed, ROOT, serve } from './ready.mjs';

const folder = join(ROOT, '.demo');
await installed();
await built();
if (process.argv.includes('--fresh')) rmSync(folder, { recursive: true, force: true });
const words = process.argv.slice(2).filter((word) => word !== '--fresh');
await serve(['--demo', ...words], { AURANTIA_DATA: folder });
