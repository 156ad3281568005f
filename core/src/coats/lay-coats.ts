import type { Coat } from '../design';
import type { CoatContext, LaidCoat } from './coat-kind';
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

/** Lays all coats in order. */
export function stepsOf(coats: readonly Coat[], start: Grounds, context: Omit<CoatContext, 'next' | 'setting'>): readonly Step[] {
  const steps: Step[] = [];
  let before = start;
  let setting = 0;
  let seen: PlannedCoat['seen'] = seenAfter(start, {}, {}, context.light);
  coats.forEach((coat, index) => {
    const next = coats[index + 1]?.kind ?? null;
    const laid: LaidCoat = layCoat(coat, before, { ...context, next, setting });
    seen = seenAfter(laid.grounds, before, seen, context.light);
    steps.push({ coat, planned: { id: coat.id, kind: coat.kind, ...laid.body, seen }, before, after: laid.grounds });
    before = laid.grounds;
    setting = laid.setting ?? 0;
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
