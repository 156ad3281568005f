import { makeSheetOf, type LogEntry, type Make, type RoomMoment } from '@aurantia/core/make';
import type { Settings } from '@aurantia/core';
import { makePdf } from './make-pdf';

export interface SheetAsked {
  readonly make: Make;
  readonly entries: readonly LogEntry[];
  readonly room: readonly RoomMoment[];
  readonly settings: Settings;
  /** ms since 1970 */
  readonly now: number;
  /** JPEG, the latest last */
  readonly photos: readonly Uint8Array[];
}

/** A whole make to print, as a PDF. */
export const sheetPages = ({ make, entries, room, settings, now, photos }: SheetAsked): Promise<Uint8Array> =>
  makePdf(makeSheetOf(make, entries, room, settings, now), photos, settings.paper);
