/** Why a workshop's file can't be used. */
export type StoreTrouble = 'newer' | 'damaged' | 'foreign' | 'locked' | 'read-only' | 'full' | 'taken' | 'unknown';

/** The file can't be used; the message says why and what to do about it. */
export class StoreError extends Error {
  override readonly name = 'StoreError';
  constructor(
    readonly trouble: StoreTrouble,
    message: string,
  ) {
    super(message);
  }
}

const waysOut: Record<StoreTrouble, string> = {
  newer:
    'was kept by a newer Aurantia. Start that one, or set AURANTIA_DATA to another folder. The file was left as it is; a copy from before it was brought up to date may lie beside it.',
  damaged:
    'is damaged: it doesn’t read as it was written. It was left as it is. Move it elsewhere, start again, and restore the newest file from the folder “backups” beside it.',
  foreign:
    'is no workshop of Aurantia’s. It was left as it is. Move it elsewhere, or set AURANTIA_DATA to another folder, and start again.',
  locked: 'is held by another program. Close that one, or wait until it is done, and start again.',
  'read-only':
    'can’t be written to. Make its folder and the file writable for you, or set AURANTIA_DATA to a folder that is, and start again.',
  full: 'can’t be written: the disk is full. Free some space and start again; what was kept is still there.',
  taken: 'is open in another Aurantia.',
  unknown: 'can’t be opened. Check its folder, or set AURANTIA_DATA to another one.',
};

const codeOf = (error: unknown): string =>
  typeof error === 'object' && error !== null && 'code' in error && typeof error.code === 'string' ? error.code : '';

/** What an error of SQLite or of the disk means; codes as in sqlite.org/rescode.html and errno(3). */
export function troubleOf(error: unknown): StoreTrouble {
  const code = codeOf(error);
  if (/^(SQLITE_FULL|ENOSPC|EDQUOT)/.test(code)) return 'full';
  if (/^(SQLITE_BUSY|SQLITE_LOCKED)/.test(code)) return 'locked';
  if (/^(SQLITE_READONLY|SQLITE_PERM|SQLITE_CANTOPEN|EACCES|EPERM|EROFS)/.test(code)) return 'read-only';
  if (/^(SQLITE_CORRUPT|SQLITE_NOTADB)/.test(code)) return 'damaged';
  // The driver gives no code when it can't open at all, only SQLite's number in its message.
  const text = error instanceof Error ? error.message : String(error);
  if (/: (8|14|23)"?\)$/.test(text)) return 'read-only';
  if (/: 13"?\)$/.test(text)) return 'full';
  return 'unknown';
}

/** The sentence for a trouble with a file. */
export function storeError(file: string, trouble: StoreTrouble, because?: unknown): StoreError {
  const reason =
    trouble === 'unknown' && because !== undefined ? ` (${because instanceof Error ? because.message : String(because)})` : '';
  return new StoreError(trouble, `${file} ${waysOut[trouble]}${reason}`);
}
