import { blendSchema, fadeSchema, withFade, withWeighedPot, type Design, type Fade } from '../design';
import { potId } from '../layout';
import type { ShelfItemId } from '../stock';
import { amountText, listText, tidy, type Units } from '../units';
import type { BenchCoat } from './bench';
import type { Make, MakeAmount } from './make';
import type { RecipeChange } from './recipe-change';
import { reallyPoured } from './taken';

/** A jar that was poured on a place, in one pass or several. ml of one cup, the mean of the passes. */
interface PouredJar {
  readonly amount: MakeAmount;
  readonly item: ShelfItemId;
  readonly before: number;
  readonly ml: number;
}

/**
 * Glitter poured otherwise than planned: jar by jar of a blend, pot by pot of a fade.
 * @param passes the coats whose pours count: what of them wasn't said is as planned
 */
export const pourChanges = (make: Make, passes: readonly BenchCoat[], units: Units): readonly RecipeChange[] => [
  ...make.design.blends.flatMap(({ area }) =>
    pouredOn(make, passes, area)
      .filter(isOther)
      .map((jar) => blendChange(area, jar, units)),
  ),
  ...make.design.fades.flatMap((fade) =>
    Array.from({ length: fade.pots }, (_, pot) => pot).flatMap((pot) => potChange(make, passes, { fade, pot }, units)),
  ),
];

/** Passes may differ and still come to what was planned: then each was other, and all together are not. */
const isOther = ({ before, ml }: PouredJar): boolean => before !== ml;

function pouredOn({ cups }: Make, passes: readonly BenchCoat[], place: string): readonly PouredJar[] {
  const poured = passes.flatMap(({ step, poured }) =>
    step.amounts
      .filter(({ key, item }) => key === `pour/${place}/${item ?? ''}`)
      .map((amount) => ({ amount, ml: reallyPoured(amount, poured) })),
  );
  return [...new Set(poured.map(({ amount }) => amount.key))].flatMap((key) => {
    const all = poured.filter(({ amount }) => amount.key === key);
    const mean = (of: (one: (typeof all)[number]) => number) =>
      tidy(all.reduce((sum, one) => sum + of(one), 0) / all.length / cups);
    const [{ amount }] = all;
    if (amount.item === null) return [];
    return [{ amount, item: amount.item, before: mean(({ amount }) => amount.amount), ml: mean(({ ml }) => ml) }];
  });
}

const read = ({ amount }: PouredJar, ml: number, units: Units): string => amountText(ml, units, amount.gramsPerMl ?? 1);

function blendChange(area: string, jar: PouredJar, units: Units): RecipeChange {
  const { amount, item, before, ml } = jar;
  return {
    id: amount.key,
    of: listText([amount.name, ...(amount.where === null ? [] : [amount.where])]).replace(' and ', ', '),
    planned: read(jar, before, units),
    really: read(jar, ml, units),
    apply: (to) => {
      const blend = to.blends.find((one) => one.area === area);
      if (!blend) return to;
      const parts = blend.parts.flatMap((part) => (part.item !== item ? [part] : ml > 0 ? [{ ...part, ml }] : []));
      if (parts.length === 0) return { ...to, blends: to.blends.filter((one) => one !== blend) };
      const taken = blendSchema.safeParse({ ...blend, parts });
      return taken.success ? { ...to, blends: to.blends.map((one) => (one === blend ? taken.data : one)) } : to;
    },
  };
}

/** A pot is weighed as a whole: its jars make one colour together. */
function potChange(
  make: Make,
  passes: readonly BenchCoat[],
  { fade, pot }: { readonly fade: Fade; readonly pot: number },
  units: Units,
): readonly RecipeChange[] {
  const place = potId(fade.area, pot);
  const jars = pouredOn(make, passes, place);
  if (!jars.some(isOther)) return [];
  const told = (ml: (jar: PouredJar) => number) => listText(jars.map((jar) => `${read(jar, ml(jar), units)} ${jar.amount.name}`));
  const parts = jars.flatMap(({ item, ml }) => (ml > 0 ? [{ item, ml }] : []));
  return [
    {
      id: `pour/${place}`,
      of: jars[0].amount.where ?? '',
      planned: told(({ before }) => before),
      really: told(({ ml }) => ml),
      apply: (to) => withFade(to, fade.area, (one) => weighedSo(one, pot, parts)),
    },
  ];
}

/** As it was where its schema would not take it: its jars may be gone from the stops. */
function weighedSo(fade: Fade, pot: number, parts: Design['blends'][number]['parts']): Fade {
  const taken = fadeSchema.safeParse(withWeighedPot(fade, { pot, parts }));
  return taken.success ? taken.data : fade;
}
