import type { Units } from '@aurantia/core';
import { CalendarError, weekCalendar, type CalendarWish } from '@aurantia/core/calendar';
import { daySheet, WeekSearch, wishOf, type WeekData, type WeekPlan, type Zone } from '@aurantia/core/week';
import { ProblemError } from '../http/problem';
import { sheetOfDay } from './day-pdf';

/** A week as it leaves the program. */
interface WeekOut {
  readonly data: WeekData;
  readonly zone: Zone;
}

export interface DaySheetAsked extends WeekOut {
  /** `2026-11-30` */
  readonly day: string;
  readonly workshop: string;
  readonly paper: 'A4' | 'Letter';
  readonly units: Units;
}

export interface CalendarAsked extends WeekOut {
  readonly wish: CalendarWish;
}

/** The plan that was kept, with what came since: followed as nearly as can be, as the screens do. */
const planOf = ({ data, zone }: WeekOut): WeekPlan => new WeekSearch(wishOf(data, zone), data.book.placed).best;

const nameIn =
  ({ data: { book } }: WeekOut) =>
  (id: string): string =>
    book.means.people.find((one) => one.id === id)?.name ?? '';

/** A day on paper, PDF. */
export const daySheetPages = (asked: DaySheetAsked): Promise<Uint8Array> => {
  const { day, zone, workshop, paper, units } = asked;
  const lines = daySheet(planOf(asked), { day, zone, units, nameOf: nameIn(asked) });
  return sheetOfDay({ workshop, day, lines, paper });
};

/** A calendar file. @throws ProblemError where nothing of that is planned */
export async function calendarText(asked: CalendarAsked): Promise<string> {
  try {
    return weekCalendar(planOf(asked), asked.wish, Math.floor(asked.data.now / 60_000), nameIn(asked));
  } catch (error) {
    if (error instanceof CalendarError) throw new ProblemError(422, 'Nothing to write', error.message);
    throw error;
  }
}
