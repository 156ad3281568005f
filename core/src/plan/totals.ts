import type { PlannedPart, Step } from '../coats';
import type { Design } from '../design';
import { gramsPerMl } from '../glitter';
import type { InkDose } from '../ink';
import { drawnParts, type PlannedFade } from '../pots';
import { itemOf, type ShelfItem, type ShelfItemId } from '../stock';

export interface PlanTotals {
  readonly glitterMl: number;
  readonly glitterGrams: number;
  readonly glitterKinds: number;
  readonly glitters: readonly {
    readonly item: ShelfItemId;
    readonly name: string;
    readonly ml: number;
    readonly grams: number;
    readonly gramsPerMl: number;
    readonly left: number | null;
  }[];
  readonly resins: readonly {
    readonly item: ShelfItemId;
    readonly name: string;
    readonly a: number;
    readonly b: number;
    readonly mix: number;
    readonly grams: number;
  }[];
  readonly inks: readonly { readonly item: ShelfItemId; readonly name: string; readonly drops: number; readonly dose: InkDose }[];
  /** paint, glue, powder and film: ml, or sheets */
  readonly others: readonly { readonly item: ShelfItemId; readonly name: string; readonly amount: number }[];
  readonly resinMl: number;
  readonly resinGrams: number;
  readonly mixes: number;
  readonly handsOn: number;
  /** minutes from the first touch to cured */
  readonly elapsed: number;
  /** mm of all coats where they are thickest */
  readonly thickness: number;
}

/**
 * Adds amounts up by the jar they come from, in the order they are first needed.
 * @param cups how many cups the pours are for
 */
export function materialsOf(
  laid: readonly Pick<Step, 'coat' | 'planned'>[],
  shelf: readonly ShelfItem[],
  fades: readonly PlannedFade[],
  cups = 1,
): Pick<PlanTotals, 'glitters' | 'resins' | 'inks' | 'others'> {
  const glitters = new Map<string, PlanTotals['glitters'][number]>();
  const resins = new Map<string, PlanTotals['resins'][number]>();
  const inks = new Map<string, PlanTotals['inks'][number]>();
  const others = new Map<string, PlanTotals['others'][number]>();
  const pour = ({ item, name, ml, gramsPerMl }: Pick<PlannedPart, 'item' | 'name' | 'ml' | 'gramsPerMl'>): void => {
    const all = (glitters.get(item)?.ml ?? 0) + ml;
    const left = itemOf(shelf, item, 'glitter')?.left ?? null;
    glitters.set(item, { item, name, gramsPerMl, left, ml: all, grams: all * gramsPerMl });
  };
  for (const { coat, planned } of laid) {
    for (const { item, name, amount } of planned.uses) {
      const jar = itemOf(shelf, item, 'glitter');
      if (jar) pour({ item, name, ml: amount, gramsPerMl: gramsPerMl(jar.flake) });
      else others.set(item, { item, name, amount: (others.get(item)?.amount ?? 0) + amount });
    }
    for (const part of planned.pours.flatMap((pour) => drawnParts(pour, fades, cups)).filter((one) => !one.missing)) pour(part);
    const resin = 'resin' in coat ? coat.resin : null;
    if (planned.mix && resin) {
      const sum = resins.get(resin);
      const { a, b, mix, aGrams, bGrams } = planned.mix;
      resins.set(resin, {
        item: resin,
        name: planned.mix.resin,
        a: (sum?.a ?? 0) + a,
        b: (sum?.b ?? 0) + b,
        mix: (sum?.mix ?? 0) + mix,
        grams: (sum?.grams ?? 0) + aGrams + bGrams,
      });
    }
    for (const { item, ink: name, count, dose } of planned.drops)
      inks.set(item, { item, name, drops: (inks.get(item)?.drops ?? 0) + count, dose });
  }
  return {
    glitters: [...glitters.values()],
    resins: [...resins.values()],
    inks: [...inks.values()],
    others: [...others.values()],
  };
}

export function totalsOf(
  design: Design,
  steps: readonly Step[],
  shelf: readonly ShelfItem[],
  fades: readonly PlannedFade[],
): PlanTotals {
  const materials = materialsOf(steps, shelf, fades);
  const { glitters, resins } = materials;
  const sum = (values: Iterable<number>) => [...values].reduce((total, value) => total + value, 0);
  const planned = steps.map((step) => step.planned);
  const last = steps.at(-1)?.after ?? {};
  return {
    ...materials,
    glitterMl: sum(glitters.map((one) => one.ml)),
    glitterGrams: sum(glitters.map((one) => one.grams)),
    glitterKinds: glitters.length,
    resinMl: sum(resins.map((one) => one.mix)),
    resinGrams: sum(resins.map((one) => one.grams)),
    mixes: planned.filter((coat) => coat.mix).length,
    handsOn: sum(planned.map((coat) => coat.handsOn)),
    elapsed: sum(planned.map((coat) => coat.handsOn + coat.wait.minutes)),
    thickness: design.coats.length === 0 ? 0 : Math.max(0, ...Object.values(last).map((ground) => ground.thickness)),
  };
}
