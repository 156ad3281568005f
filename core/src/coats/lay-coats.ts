import type { Coat } from '../design';
import type { CoatContext, LaidCoat, Setting } from './coat-kind';
import { layCoat } from './coat-kinds';
import type { Grounds } from './ground';
import type { Light } from './light';
import type { PlannedCoat } from './planned-coat';

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

/** Lays all coats in order. */
export function stepsOf(
  coats: readonly Coat[],
  start: Grounds,
  context: Omit<CoatContext, 'next' | 'setting' | 'covered'>,
): readonly Step[] {
  const steps: Step[] = [];
  let before = start;
  let setting: Setting = SET;
  let seen: PlannedCoat['seen'] = seenAfter(start, {}, {}, context.light);
  let thick: PlannedCoat['thick'] = thickAfter(start, {});
  coats.forEach((coat, index) => {
    const next = coats[index + 1]?.kind ?? null;
    const laid: LaidCoat = layCoat(coat, before, { ...context, next, setting, covered: coveredIn(before) });
    seen = seenAfter(laid.grounds, before, seen, context.light);
    thick = thickAfter(laid.grounds, thick);
    steps.push({ coat, planned: { id: coat.id, kind: coat.kind, ...laid.body, seen, thick }, before, after: laid.grounds });
    before = laid.grounds;
    setting = laid.setting ?? SET;
  });
  return steps;
}

/** Most coats change no colour: then what was seen before is seen still. */
function seenAfter(grounds: Grounds, before: Grounds, seen: PlannedCoat['seen'], light: Light): PlannedCoat['seen'] {
  const places = Object.keys(grounds);
  if (places.every((place) => before[place]?.spectrum === grounds[place].spectrum)) return seen;
  const next: Record<string, string> = {};
  for (const place of places) next[place] = light.hex(grounds[place].spectrum);
  return next;
}

function thickAfter(grounds: Grounds, thick: PlannedCoat['thick']): PlannedCoat['thick'] {
  const places = Object.keys(grounds);
  if (places.every((place) => thick[place] === grounds[place].thickness)) return thick;
  return Object.fromEntries(places.map((place) => [place, grounds[place].thickness]));
}
