// `npm run types`: everything under strict TypeScript; templates are checked by the build. All that runs on Node is one program,
// so that the core is read once for it; the core alone too, without anything of Node's or a browser's.
import { must } from './ready.mjs';

for (const project of ['core', 'tsconfig.node.json', 'web']) must('npx', ['tsc', '-p', project, '--noEmit']);
