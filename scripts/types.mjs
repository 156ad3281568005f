// `npm run types`: every workspace under strict TypeScript; templates are checked by the build.
import { must } from './ready.mjs';

for (const project of ['core', 'core/tsconfig.test.json', 'server', 'e2e', 'bench', 'campaign'])
  must('npx', ['tsc', '-p', project]);
must('npx', ['tsc', '-p', 'web', '--noEmit']);
