import type { Settings } from '../design';
import { countText, percentText, temperatureText } from '../units';
import { benchOf, type CoatState } from './bench';
import { benchNotes } from './bench-words';
import type { LogEntry } from './log-entry';
import { logLines, plannedAndReal, type LogLine, type PlannedAndReal } from './log-lines';
import type { Make } from './make';
import { repeatScore } from './repeat-score';
import type { RoomMoment } from './room-moment';
import { standingText } from './standing';

/** A coat of a make as it goes on paper: planned beside what happened. */
export interface SheetCoat {
  readonly number: number;
  readonly title: string;
  readonly where: string;
  readonly does: string;
  /** hex of what is seen once it is on */
  readonly shows: string;
  readonly state: CoatState;
  /** ms since 1970; null where it hasn't come to it */
  readonly begun: number | null;
  readonly ended: number | null;
  readonly amounts: readonly PlannedAndReal[];
  readonly notes: readonly string[];
}

/** A whole make as it goes on paper. */
export interface MakeSheet {
  readonly title: string;
  readonly called: string;
  /** whose it is; may be empty */
  readonly workshop: string;
  readonly cup: string;
  /** ms since 1970 */
  readonly begun: number;
  readonly facts: readonly string[];
  readonly coats: readonly SheetCoat[];
  readonly jars: readonly { readonly name: string; readonly lot: string }[];
  readonly log: readonly LogLine[];
}

/** Which of its design a make is, for whom, and how many. */
export const makeCalled = ({ number, label, cups }: Pick<Make, 'number' | 'label' | 'cups'>): string =>
  [`make ${number}`, ...(label ? [label] : []), ...(cups > 1 ? [countText(cups, 'cup')] : [])].join(', ');

/**
 * A make with all that happened to it, to print.
 * @param room what it was like meanwhile; empty where nobody measured
 * @param now ms since 1970
 */
export function makeSheetOf(
  make: Make,
  entries: readonly LogEntry[],
  room: readonly RoomMoment[],
  settings: Settings,
  now: number,
): MakeSheet {
  const { coats, standing } = benchOf(make, entries, now);
  const score = repeatScore(make, entries, room, settings.units);
  const [worst] = score?.distances ?? [];
  return {
    title: make.design.name,
    called: makeCalled(make),
    workshop: settings.name,
    cup: `${make.design.cup.name}, ${make.design.cup.shape}`,
    begun: Date.parse(make.at),
    facts: [
      `${standingText(standing, now)}.`,
      ...(score
        ? [
            `${score.score} of 100 against its recipe: ${score.words}.${worst && worst.points >= 0.5 && worst.says ? ` ${worst.says}` : ''}`,
          ]
        : []),
      roomText(make, room, settings),
      `Frozen from revision ${make.revision} of the design, worked out by Aurantia ${make.program}.`,
    ],
    coats: coats.map(({ step, state, begun, ended, poured }, i) => ({
      number: i + 1,
      title: step.title,
      where: step.where,
      does: step.does,
      shows: step.shows,
      state,
      begun,
      ended,
      amounts: plannedAndReal(make, step, poured, settings),
      notes: benchNotes(make, entries, step.coat),
    })),
    jars: make.shelf.map(({ name, lot }) => ({ name, lot })),
    log: logLines(make, entries, settings),
  };
}

function roomText({ settings }: Make, room: readonly RoomMoment[], { units }: Settings): string {
  const planned = `${temperatureText(settings.celsius, units)} and ${percentText(settings.humidity / 100)}`;
  if (room.length === 0) return `Planned for ${planned} in the room; nobody measured it.`;
  const celsius = room.map((one) => one.celsius);
  const mean = celsius.reduce((sum, one) => sum + one, 0) / celsius.length;
  const text = (degrees: number) => temperatureText(degrees, units);
  return `The room had ${text(Math.min(...celsius))} to ${text(Math.max(...celsius))}, ${text(mean)} on average; planned for ${planned}.`;
}
