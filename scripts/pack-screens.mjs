// Packs the built screens beside themselves, once, so that a phone at the bench need not wait for four times as much.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ROOT } from './ready.mjs';

const screens = join(ROOT, 'web', 'dist', 'browser');
for (const name of readdirSync(screens).filter((one) => /\.(js|css|svg)$/.test(one))) {
  const file = join(screens, name);
  writeFileSync(`${file}.gz`, gzipSync(readFileSync(file), { level: 9 }));
}
