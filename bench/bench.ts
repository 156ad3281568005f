import { coreRows } from './core-bench';
import { fieldRows } from './field-bench';
import { inkRow } from './ink-bench';
import { loadRows } from './load-bench';
import { growthRow, largeRows } from './memory-bench';
import { printTable } from './measure';
import { programRows } from './program-bench';
import { fadeRows } from './fade-bench';
import { learnRows } from './learn-bench';
import { logRows } from './log-bench';
import { ringRows } from './ring-bench';
import { surfaceRows } from './surface-bench';
import { weekRows } from './week-bench';
import { wetRow } from './wet-bench';

printTable([
  ...(await coreRows()),
  ...(await fieldRows()),
  ...fadeRows(),
  ...ringRows(),
  ...(await learnRows()),
  ...(await logRows()),
  ...(await weekRows()),
  inkRow(),
  wetRow(),
  ...(await surfaceRows()),
  ...loadRows(),
  ...(await largeRows()),
  await growthRow(),
  ...(await programRows()),
]);
