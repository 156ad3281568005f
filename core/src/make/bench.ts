import type { CoatId } from '../design';
import type { LogEntry } from './log-entry';
import type { Make, MakeStep } from './make';
import { missedAt, stateAt, type MakeState, type Standing } from './standing';

export type CoatState = 'done' | 'skipped' | 'begun' | 'next' | 'later';

/** A coat of a make, with what the log says of it. */
export interface BenchCoat {
  readonly step: MakeStep;
  readonly state: CoatState;
  /** moments, ms since 1970; null where it hasn't come to it */
  readonly begun: number | null;
  readonly ended: number | null;
  /** by what is measured, where it was another amount than planned */
  readonly poured: Readonly<Record<string, number>>;
  /** when it was, or is, due to be begun; null of those that are over */
  readonly due: number | null;
}

/** A stretch of time that is watched at the bench. */
export interface BenchTimer {
  readonly name: string;
  /** ms since 1970 */
  readonly from: number;
  readonly until: number;
  /** whether it lasts so long, or comes in so long */
  readonly counts: 'for' | 'in';
  /** what is so once it is over */
  readonly then: string;
}

/** How a make stands at a moment. */
export interface Bench {
  readonly state: MakeState;
  readonly coats: readonly BenchCoat[];
  readonly standing: Standing;
  /** the next coat came, or comes, after it had closed */
  readonly missed: boolean;
  readonly timers: readonly BenchTimer[];
  /** when the last coat has cured through, if all goes on without a break */
  readonly ready: number;
}

const MINUTE = 60_000;

interface Told {
  readonly begun: number | null;
  readonly ended: number | null;
  readonly how: 'done' | 'skipped' | null;
  readonly poured: Readonly<Record<string, number>>;
}
const NOTHING_TOLD: Told = { begun: null, ended: null, how: null, poured: {} };

/** What the log says of each coat: later entries count over earlier ones, and what was undone doesn't. */
function toldOf(entries: readonly LogEntry[]): ReadonlyMap<CoatId, Told> {
  const told = new Map<CoatId, Told>();
  for (const entry of entries) {
    const at = Date.parse(entry.at);
    if (entry.what === 'begun') told.set(entry.coat, { ...NOTHING_TOLD, begun: at });
    else if (entry.what === 'done')
      told.set(entry.coat, {
        begun: told.get(entry.coat)?.begun ?? at,
        ended: at,
        how: 'done',
        poured: entry.poured,
      });
    else if (entry.what === 'skipped') told.set(entry.coat, { ...NOTHING_TOLD, ended: at, how: 'skipped' });
    else if (entry.what === 'undone') told.delete(entry.coat);
  }
  return told;
}

const last = (step: MakeStep | undefined, ended: number | null, minutes: number | null): number | null =>
  step === undefined || ended === null || minutes === null ? null : ended + minutes * MINUTE;

/** What a make waits for, from its log alone: so that a reload, a closed lid or another window loses nothing. */
export function standingOf({ steps }: Pick<Make, 'steps'>, entries: readonly LogEntry[]): Standing {
  const told = toldOf(entries);
  const open = steps.findIndex((step) => (told.get(step.coat) ?? NOTHING_TOLD).how === null);
  const at = open < 0 ? null : open;
  // What was skipped leaves nothing to wait for; what lies under it still does.
  const before = steps.slice(0, at ?? steps.length).findLast((step) => told.get(step.coat)?.how === 'done');
  const ended = (before && told.get(before.coat)?.ended) ?? null;
  return {
    at,
    of: steps.length,
    title: at === null ? null : steps[at].title,
    begun: at === null ? null : (told.get(steps[at].coat)?.begun ?? null),
    opens: last(before, ended, before?.wait.minutes ?? null),
    closes: last(before, ended, before?.wait.closes ?? null),
    givenUp: entries.findLast(({ what }) => what === 'given up' || what === 'taken up')?.what === 'given up',
  };
}

/**
 * How a make stands at a moment.
 * @param now ms since 1970, by the workshop's clock
 */
export function benchOf(make: Pick<Make, 'steps'>, entries: readonly LogEntry[], now: number): Bench {
  const { steps } = make;
  const told = toldOf(entries);
  const standing = standingOf(make, entries);
  const { at, begun, opens } = standing;
  let due = begun ?? Math.max(now, opens ?? now);
  const coats = steps.map((step, i): BenchCoat => {
    const { begun: from, ended: to, how, poured } = told.get(step.coat) ?? NOTHING_TOLD;
    const coming = how === null ? due : null;
    if (how === null) due += (step.handsOn + step.wait.minutes) * MINUTE;
    const state = how ?? (i !== at ? 'later' : from === null ? 'next' : 'begun');
    return { step, state, begun: from, ended: to, poured, due: coming };
  });
  const before = coats.slice(0, at ?? coats.length).findLast(({ state }) => state === 'done');
  return {
    state: stateAt(standing, now),
    standing,
    coats,
    missed: missedAt(standing, now),
    timers: standing.givenUp ? [] : timersOf(at === null ? null : coats[at], before ?? null),
    ready: at === null ? (opens ?? now) : due,
  };
}

/** What is timed: of the coat that is being done, or of what the one before it needs. */
function timersOf(current: BenchCoat | null, before: BenchCoat | null): readonly BenchTimer[] {
  const timers: BenchTimer[] = [];
  const add = (name: string, counts: BenchTimer['counts'], from: number, minutes: number | null, then: string) => {
    if (minutes !== null && minutes > 0) timers.push({ name, counts, from, until: from + minutes * MINUTE, then });
  };
  if (current && current.begun !== null) {
    const { step, begun } = current;
    add('Stir', 'for', begun, step.stir, 'Stirred long enough');
    const [name, then] = step.mix ? ['On the cup within', 'It thickens now'] : ['Glitter on it within', 'The glue is setting'];
    add(name, 'for', begun, step.within, then);
    return timers;
  }
  if (before?.ended) {
    const { step, ended } = before;
    add('Look again in', 'in', ended, step.look, 'Look for runs and bubbles');
    add(current ? 'Ready in' : 'Cured in', 'in', ended, step.wait.minutes, current ? 'Ready' : 'Cured through');
    if (current) add('Window closes in', 'in', ended, step.wait.closes, 'The window has closed');
  }
  return timers;
}
