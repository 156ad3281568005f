// `npm run card`, `backup`, `restore`: a command of the server's, from the bundle.
import { spawnSync } from 'node:child_process';
import { bundled, ROOT } from './ready.mjs';

const [name, ...words] = process.argv.slice(2);
await bundled();
// Started where the maker stands, so that the files they name are theirs.
const program = [`${ROOT}/server/dist/${name}.js`, ...words];
process.exit(spawnSync(process.execPath, program, { stdio: 'inherit' }).status ?? 1);
