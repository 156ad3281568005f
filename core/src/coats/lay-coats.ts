import { isFilm, type Coat } from '../design';
import { sameFields } from '../same-fields';
import type { CoatContext, LaidCoat, Setting } from './coat-kind';
import { layCoat } from './coat-kinds';
import { changedGrounds, type Grounds } from './ground';
import type { PlannedCoat } from './planned-coat';
import { intoWet } from './resin';
import { seenThrough } from './seen-through';

/** One coat with the cup before and after it. */
export interface Step {
  readonly coat: Coat;
  readonly planned: PlannedCoat;
  readonly before: Grounds;
  readonly after: Grounds;
}

const SET: Setting = { minutes: 0, until: 'it is set' };
const NOTHING_COVERED: ReadonlySet<string> = new Set();

function coveredIn(grounds: Grounds): ReadonlySet<string> {
  const places = Object.keys(grounds).filter((place) => grounds[place].masked);
  return places.length === 0 ? NOTHING_COVERED : new Set(places);
}

type Bench = Omit<CoatContext, 'next' | 'setting' | 'covered' | 'heldBack'>;

/** Where the work stands between two coats. */
interface Standing {
  readonly grounds: Grounds;
  readonly setting: Setting;
  readonly seen: PlannedCoat['seen'];
  readonly thick: PlannedCoat['thick'];
}

interface LaidStep {
  readonly step: Step;
  readonly next: Coat['kind'] | null;
  readonly heldBack: number;
  readonly then: Standing;
}

/**
 * Lays all coats in order, and remembers how the last ones were laid: as long as the bench is the same, only from the first
 * coat on that is another, or is followed by another kind, is anything laid anew.
 */
export function createCoatLayer(): (coats: readonly Coat[], start: Grounds, bench: Bench) => readonly Step[] {
  let last: { readonly start: Grounds; readonly bench: Bench; readonly laid: readonly LaidStep[] } | null = null;
  return (coats, start, bench) => {
    const before = last !== null && last.start === start && sameFields(last.bench, bench) ? last.laid : [];
    const nextOf = (at: number) => coats.at(at + 1)?.kind ?? null;
    const differs = coats.findIndex(
      (coat, at) =>
        before.at(at)?.step.coat !== coat || before[at].next !== nextOf(at) || before[at].heldBack !== heldBackOf(coats, at),
    );
    const laid = before.slice(0, differs < 0 ? coats.length : differs);
    let at: Standing = laid.at(-1)?.then ?? {
      grounds: start,
      setting: SET,
      seen: seenAfter(start, {}, {}, bench),
      thick: thickAfter(start, {}),
    };
    for (const coat of coats.slice(laid.length)) {
      const one = laidOn(coat, at, { next: nextOf(laid.length), heldBack: heldBackOf(coats, laid.length) }, bench);
      laid.push(one);
      at = one.then;
    }
    last = { start, bench, laid };
    return laid.map(({ step }) => step);
  };
}

/** Lays all coats in order. */
export const stepsOf = (coats: readonly Coat[], start: Grounds, bench: Bench): readonly Step[] =>
  createCoatLayer()(coats, start, bench);

/** ml of a coat's resin that the coats laid right into it take. */
function heldBackOf(coats: readonly Coat[], at: number): number {
  if (!isFilm(coats[at])) return 0;
  let ml = 0;
  for (const coat of coats.slice(at + 1)) {
    if (!intoWet.includes(coat.kind)) break;
    if (coat.kind === 'strings') ml += coat.ml;
  }
  return ml;
}

function laidOn(coat: Coat, before: Standing, after: Pick<LaidStep, 'next' | 'heldBack'>, bench: Bench): LaidStep {
  const { grounds, setting } = before;
  const laid: LaidCoat = layCoat(coat, grounds, { ...bench, ...after, setting, covered: coveredIn(grounds) });
  const then = isFilm(coat) || intoWet.includes(coat.kind) ? laid.grounds : overGloss(laid.grounds, grounds);
  const seen = seenAfter(then, grounds, before.seen, bench);
  const thick = thickAfter(then, before.thick);
  const planned: PlannedCoat = { id: coat.id, kind: coat.kind, ...laid.body, seen, thick };
  return {
    step: { coat, planned, before: grounds, after: then },
    ...after,
    then: { grounds: then, setting: laid.setting ?? SET, seen, thick },
  };
}

/** What is laid on resin, and seen, has no gloss over it until more resin comes. */
function overGloss(grounds: Grounds, before: Grounds): Grounds {
  const dulled = Object.keys(grounds).filter(
    (place) => grounds[place].glossy && grounds[place].spectrum !== before[place].spectrum,
  );
  return dulled.length === 0 ? grounds : changedGrounds(grounds, dulled, () => ({ glossy: false }));
}

/** Most coats change no colour: then what was seen before is seen still. */
function seenAfter(
  grounds: Grounds,
  before: Grounds,
  seen: PlannedCoat['seen'],
  { light, settings }: Pick<Bench, 'light' | 'settings'>,
): PlannedCoat['seen'] {
  const places = Object.keys(grounds);
  const asBefore = (place: string) =>
    before[place]?.spectrum === grounds[place].spectrum && before[place].glossy === grounds[place].glossy;
  if (places.every(asBefore)) return seen;
  const next: Record<string, string> = {};
  for (const place of places) next[place] = light.hex(seenThrough(grounds[place], settings, light));
  return next;
}

function thickAfter(grounds: Grounds, thick: PlannedCoat['thick']): PlannedCoat['thick'] {
  const places = Object.keys(grounds);
  if (places.every((place) => thick[place] === grounds[place].thickness)) return thick;
  return Object.fromEntries(places.map((place) => [place, grounds[place].thickness]));
}
