import { homedir } from 'node:os';
import { join } from 'node:path';

/** Where a workshop's memory lies when nobody says otherwise. */
export function dataFolder(): string {
  const { AURANTIA_DATA, XDG_DATA_HOME, APPDATA } = process.env;
  if (AURANTIA_DATA) return AURANTIA_DATA;
  return join(XDG_DATA_HOME ?? APPDATA ?? join(homedir(), '.local', 'share'), 'aurantia');
}

export const workshopFile = (): string => join(dataFolder(), 'workshop.sqlite');
