// `npm run types`: everything under strict TypeScript; templates are checked by the build. All that runs on Node is one program,
// so that the core is read once for it; the core alone too, without anything of Node's or a browser's.
// The checking is TypeScript 7's, which takes a third of the time; Angular's compiler and the linter need the one before it.
import { join } from 'node:path';
import { must, ROOT } from './ready.mjs';

const checker = join(ROOT, 'node_modules', 'typescript-native', 'bin', 'tsc');
for (const project of ['core', 'tsconfig.node.json', 'web'])
  must(process.execPath, [checker, '-p', project, '--noEmit', '--rootDir', ROOT]);
