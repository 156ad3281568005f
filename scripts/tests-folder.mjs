// Where tests put what they make: a folder that is gone once they have run.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Everything begun from here on finds this as the machine's own folder for such things. */
export const makeTestsFolder = () => {
  process.env.TMPDIR = mkdtempSync(join(tmpdir(), 'aurantia-tests-'));
};

/** What a program still holds open is let be. */
export default function removeTestsFolder() {
  rmSync(process.env.TMPDIR, { recursive: true, force: true, maxRetries: 3 });
}
