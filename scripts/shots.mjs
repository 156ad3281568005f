// `npm run shots`: takes every picture of docs/screenshots/ anew from the demo data.
import { built, installed, must } from './ready.mjs';

await installed();
await built();
must('npx', ['tsx', 'e2e/src/shots.ts']);
