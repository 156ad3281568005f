import { BackupError } from '../backup/backup-file';
import { PortError } from '../http/listen';
import { StoreError, troubleOf } from '../store/store-error';

/** Ends the program with a sentence; only a fault of its own is shown with where it happened. */
export function failed(error: unknown): void {
  process.stderr.write(`${sentenceOf(error)}\n`);
  process.exit(1);
}

function sentenceOf(error: unknown): string {
  if (error instanceof StoreError || error instanceof BackupError || error instanceof PortError) return error.message;
  if (troubleOf(error) === 'full') return 'The disk is full. Free some space and start again; what was kept is still there.';
  return error instanceof Error ? (error.stack ?? error.message) : String(error);
}
