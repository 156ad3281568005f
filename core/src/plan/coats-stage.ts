import { layCoat, type CoatContext, type Grounds, type LaidCoat } from '../coats';
import { hexOf } from '../colour';
import type { Coat } from '../design';
import type { PlannedCoat } from './plan';

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
  coats.forEach((coat, index) => {
    const next = coats[index + 1]?.kind ?? null;
    const laid: LaidCoat = layCoat(coat, before, { ...context, next, setting });
    const seen = Object.fromEntries(Object.entries(laid.grounds).map(([place, ground]) => [place, hexOf(ground.spectrum)]));
    steps.push({ coat, planned: { id: coat.id, kind: coat.kind, ...laid.body, seen }, before, after: laid.grounds });
    before = laid.grounds;
    setting = laid.setting ?? 0;
  });
  return steps;
}
