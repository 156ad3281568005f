// `npm run types`: every workspace under strict TypeScript; templates are checked by the build.
import { must } from './ready.mjs';

for (const project of ['core', 'server', 'e2e']) must('npx', ['tsc', '-p', project]);
must('npx', ['tsc', '-p', 'web', '--noEmit']);
