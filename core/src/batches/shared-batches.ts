import { mixOf } from '../coats';
import { isFilm, type CoatOf, type Design, type Workshop } from '../design';
import type { Plan } from '../plan';
import { itemOf, mixWeight } from '../stock';

/** Coats that can be measured as one mix and parted, and what that saves. */
export interface SharedBatch {
  /** numbers of the coats, from 1 */
  readonly coats: readonly number[];
  readonly resin: string;
  /** ml to mix together, and less than apart */
  readonly mix: number;
  readonly saved: number;
  readonly gramsPerMl: number;
}

/**
 * Coats of one resin, one right after the other, that lie on different areas: nothing has to cure between them, so their
 * resin is measured once and parted before the ink goes in.
 */
export function sharedBatches(
  plan: Plan,
  { coats }: Pick<Design, 'coats'>,
  { shelf, settings }: Workshop,
): readonly SharedBatch[] {
  const runs: number[][] = [];
  coats.forEach((coat, at) => {
    if (!isFilm(coat)) return;
    const run = runs.at(-1);
    const last = run?.at(-1) === at - 1;
    if (run && last && run.map((one) => coats[one]).every((one) => isFilm(one) && one.resin === coat.resin && apart(one, coat)))
      run.push(at);
    else runs.push([at]);
  });
  return runs.flatMap((run): readonly SharedBatch[] => {
    const first = coats[run[0]];
    const resin = isFilm(first) ? itemOf(shelf, first.resin, 'resin') : undefined;
    const mixes = run.flatMap((at) => plan.coats[at].mix ?? []);
    if (run.length < 2 || !resin || mixes.length < run.length) return [];
    const sum = (of: (mix: (typeof mixes)[number]) => number) => mixes.reduce((all, mix) => all + of(mix), 0);
    // Films of several thicknesses: their ml count, not their cm².
    const cover = {
      area: 10 * sum(({ film }) => film),
      thickness: 1,
      fill: sum(({ fill }) => fill),
      held: sum(({ held }) => held),
    };
    const together = mixOf(resin, cover, settings);
    const saved = sum(({ mix }) => mix) - together.mix;
    return saved <= 0
      ? []
      : [{ coats: run.map((at) => at + 1), resin: resin.name, mix: together.mix, saved, gramsPerMl: mixWeight(resin) }];
  });
}

const apart = ({ on: one }: CoatOf<'resin' | 'ink'>, { on: other }: CoatOf<'resin' | 'ink'>): boolean =>
  one !== 'all' && other !== 'all' && !one.some((area) => other.includes(area));
