// `npm run bench`: ratios measured within one run, as a table.
import { built, installed, must } from './ready.mjs';

await installed();
await built();
must('npx', ['tsx', 'bench/bench.ts']);
