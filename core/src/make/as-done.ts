import { coatSchema, designSchema, type Coat, type CoatOf, type Design, type Settings } from '../design';
import { GLOVE_LOSS_SHARE, POT_LOSS_ML } from '../resin';
import { countText, percentText, thicknessText, tidy } from '../units';
import { benchOf, type BenchCoat } from './bench';
import type { LogEntry } from './log-entry';
import type { Make, MakeStep } from './make';
import { filmOf } from './over-poured';
import { pourChanges } from './pour-changes';
import type { RecipeChange } from './recipe-change';
import { reallyPoured } from './taken';

/**
 * What was really poured, counted and left out, as changes to the recipe: with all of them, its amounts are what was measured.
 * A mix is of one cup's; what is poured in several passes takes their mean.
 * @param now the workshop as it is now: what its pots and gloves keep, as far as that was learnt since, tells the film that was
 *   really left, and so gives back the amounts that were really poured
 */
export function asDone(
  make: Make,
  entries: readonly LogEntry[],
  now: Pick<Settings, 'units' | 'losses'>,
): readonly RecipeChange[] {
  const { coats } = benchOf(make, entries, 0);
  const done = coats.filter(({ state }) => state === 'done');
  return [...laidChanges(make, coats, done, now), ...noteChanges(make, entries)];
}

/** The recipe of a cup that is half made: what is on it as it was really laid, what is still to come as it was planned. */
export function halfDone(make: Make, coats: readonly BenchCoat[], now: Pick<Settings, 'units' | 'losses'>): Design {
  const laid = coats.filter(({ state }) => state !== 'skipped');
  return recipeWith(make, laidChanges(make, coats, laid, now));
}

/**
 * What no recipe can ask for, such as a litre of glitter on a cup, was a slip of the pen: it stays in the log and is no change.
 * @param passes the coats whose pours count: what of them wasn't said is as planned
 */
const laidChanges = (
  make: Make,
  coats: readonly BenchCoat[],
  passes: readonly BenchCoat[],
  now: Pick<Settings, 'units' | 'losses'>,
): readonly RecipeChange[] =>
  [
    ...coats.filter(({ state }) => state === 'skipped').map(({ step }) => leftOut(step)),
    ...passes.flatMap((coat) => [...filmChange(make, coat, now), ...dropChanges(make, coat)]),
    ...pourChanges(make, passes, now.units),
  ].filter((change) => change.apply(make.design) !== make.design);

const leftOut = ({ coat, title }: MakeStep): RecipeChange => ({
  id: `${coat}/left-out`,
  of: title,
  planned: 'laid',
  really: 'left out',
  apply: (design) => ({ ...design, coats: design.coats.filter(({ id }) => id !== coat) }),
});

/** A coat with something else in it; the design as it was where that coat is gone or its schema would not take it. */
function withCoat(design: Design, id: string, change: (coat: Coat) => unknown): Design {
  const coat = design.coats.find((one) => one.id === id);
  const read = coatSchema.safeParse(coat && change(coat));
  return read.success ? { ...design, coats: design.coats.map((one) => (one === coat ? read.data : one)) } : design;
}

/** ml of both parts of a resin as it was really mixed; null where it was as planned. */
function mixedOtherwise({ step, poured }: BenchCoat): number | null {
  if (!('a' in poured || 'b' in poured)) return null;
  return step.amounts.filter(({ key }) => key === 'a' || key === 'b').reduce((sum, one) => sum + reallyPoured(one, poured), 0);
}

function filmChange({ design, settings }: Make, coat: BenchCoat, { losses }: Pick<Settings, 'losses'>): readonly RecipeChange[] {
  const { step } = coat;
  const ml = mixedOtherwise(coat);
  const laid = design.coats.find(({ id }) => id === step.coat);
  if (ml === null || !step.mix || !laid || !('thickness' in laid)) return [];
  // Finer than it is measured and never more than it was: amounts are rounded up to the step they were poured by.
  const keeps = {
    kept: step.mix.kept - (settings.losses?.pot ?? POT_LOSS_ML) + (losses?.pot ?? POT_LOSS_ML),
    glove: losses?.glove ?? GLOVE_LOSS_SHARE,
  };
  const film = Math.floor(filmOf({ ...step.mix, ...keeps }, ml) * 1000) / 1000;
  if (film === laid.thickness) return [];
  return [
    {
      id: `${step.coat}/film`,
      of: `${step.title}, film`,
      planned: thicknessText(laid.thickness),
      really: thicknessText(film),
      apply: (to) => withCoat(to, step.coat, (one) => ({ ...one, thickness: film })),
    },
  ];
}

/** Drops counted otherwise, or into another amount of resin, are another load. */
function dropChanges({ design }: Make, coat: BenchCoat): readonly RecipeChange[] {
  const { step, poured } = coat;
  const laid = design.coats.find(({ id }) => id === step.coat);
  if (laid?.kind !== 'ink' || !step.mix || laid.pots !== undefined) return [];
  const ml = step.amounts
    .filter(({ key }) => key === 'a' || key === 'b')
    .reduce((sum, one) => sum + reallyPoured(one, poured), 0);
  return step.amounts.flatMap((amount): readonly RecipeChange[] => {
    if (!(amount.key in poured) || (amount.unit !== 'drop' && amount.unit !== 'scoop') || ml === 0) return [];
    const load = tidy((poured[amount.key] * amount.each * 100) / ml);
    const before = [laid, ...(laid.also ?? [])].find(({ ink }) => ink === amount.item)?.load ?? 0;
    return [
      {
        id: `${step.coat}/${amount.key}`,
        of: `${step.title}, ${amount.name}`,
        planned: `${countText(amount.amount, amount.unit)}, ${percentText(before / 100, 1)}`,
        really: `${countText(poured[amount.key], amount.unit)}, ${percentText(load / 100, 1)}`,
        apply: (to) => withCoat(to, step.coat, (one) => withLoad(one as CoatOf<'ink'>, String(amount.item), load)),
      },
    ];
  });
}

const withLoad = (coat: CoatOf<'ink'>, ink: string, load: number): CoatOf<'ink'> => ({
  ...coat,
  ...(coat.ink === ink ? { load } : {}),
  ...(coat.also ? { also: coat.also.map((one) => (one.ink === ink ? { ...one, load } : one)) } : {}),
});

/** The most letters a coat's note takes. */
const NOTE = 300;

/** What was written for next time becomes a note of its coat. */
function noteChanges({ design, steps }: Make, entries: readonly LogEntry[]): readonly RecipeChange[] {
  return entries.flatMap((entry): readonly RecipeChange[] => {
    if (entry.what !== 'note' || !entry.next || entry.coat === null) return [];
    const { coat, text } = entry;
    const title = steps.find((step) => step.coat === coat)?.title;
    const before = design.coats.find(({ id }) => id === coat)?.note;
    if (title === undefined || before === undefined || before.includes(text)) return [];
    const joined = (note: string) => (note === '' ? text : `${note} ${text}`).slice(0, NOTE);
    return [
      {
        id: `${entry.id}/note`,
        of: `${title}, note`,
        planned: before === '' ? 'none' : `“${before}”`,
        really: `“${text}”`,
        apply: (to) => withCoat(to, coat, (one) => ({ ...one, note: joined(one.note) })),
      },
    ];
  });
}

/** A recipe with some of the changes taken; the frozen one stays as it is. */
export const recipeWith = (make: Make, changes: readonly RecipeChange[]): Design =>
  designSchema.parse(changes.reduce((design, change) => change.apply(design), make.design));
