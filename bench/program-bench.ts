import { openBrowser } from '../e2e/src/browser';
import { Program } from '../e2e/src/program';
import { dragRows } from './drag-bench';
import { readyRows } from './load-bench';
import type { Row } from './measure';
import { saveRows } from './save-bench';
import { taskRows } from './task-bench';
import { timersRow } from './timers-bench';
import { weekPageRow } from './week-page-bench';

export async function programRows(): Promise<readonly Row[]> {
  const program = new Program(true);
  await program.start();
  const browser = await openBrowser(true, true);
  try {
    return [
      ...(await saveRows(program)),
      ...(await readyRows(browser, program)),
      ...(await taskRows(program)),
      ...(await dragRows(program)),
      await weekPageRow(),
      await timersRow(),
    ];
  } finally {
    await browser.quit();
    await program.end();
  }
}
