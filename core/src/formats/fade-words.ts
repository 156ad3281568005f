import type { Stretch } from '../fade';
import type { PlannedFade, PlannedPot } from '../pots';
import { amountText, countText, lengthText, listText, percentText, spanText, type Units } from '../units';

/** What the mm of a fade are counted from. */
export const fadeMeasure = ({ way }: Pick<PlannedFade, 'way'>): string =>
  way === 'round' ? 'round from where it begins' : way === 'spiral' ? 'along the spiral' : 'from the foot';

/** Where a pot lies, or with what it is strewn over its neighbours: `20–52 mm`; two stretches where it goes both ways. */
export const potSpan = ({ stretches }: Pick<PlannedPot, 'stretches'>, units: Units): string =>
  listText(stretches.map(({ from, to }) => spanText(from, to, units)));
export const strewnSpan = ({ stretches }: Pick<PlannedPot, 'stretches'>, units: Units): string =>
  listText(stretches.map(({ strewnFrom, strewnTo }) => spanText(strewnFrom, strewnTo, units)));

/** A pot's recipe by the spoon: `2.5 ml Candle End + 1.0 ml Bee Line`. */
export function potRecipe(
  { spoons, fromCastOff, gramsPerMl }: Pick<PlannedPot, 'spoons' | 'fromCastOff' | 'gramsPerMl'>,
  units: Units,
): string {
  return [
    ...(fromCastOff > 0 ? [`${amountText(fromCastOff, units, gramsPerMl)} excess of the pot before`] : []),
    ...spoons.map((one) => `${amountText(one.ml, units, one.gramsPerMl)} ${one.name}`),
  ].join(' + ');
}

/** Which pots are as they were weighed, and until when; nothing where none is. */
export function weighedWords({ laid }: Pick<PlannedFade, 'laid'>): string {
  const pots = (laid?.pots ?? []).flatMap(({ weighed }, i) => (weighed ? [String(i + 1)] : []));
  if (pots.length === 0) return '';
  return pots.length === 1
    ? `Pot ${pots[0]} is as it was weighed at a cup, until stops, pots or depth are changed.`
    : `Pots ${listText(pots)} are as they were weighed at a cup, until stops, pots or depth are changed.`;
}

/** Pots in the order they are poured, in a sentence. */
export function pouringOrder({ laid }: Pick<PlannedFade, 'laid'>): string {
  const [first, ...rest] = (laid?.order ?? []).map((pot) => pot + 1);
  if (first === undefined || rest.length === 0) return '';
  const why = laid?.pots.some(({ fromCastOff }) => fromCastOff > 0)
    ? 'each gives its excess to the next'
    : 'the light end first, so that no dark flake strays onto it';
  return `Pour pot ${first} first, then ${listText(rest.map(String))}: ${why}.`;
}

/** What equal spoons would have come to, where that is nothing to see. */
export function deadWords({ laid }: Pick<PlannedFade, 'laid'>, stretch: Stretch | null, units: Units): string {
  if (!laid || !stretch) return '';
  const ends = [laid.pots[stretch.from], laid.pots[stretch.to]].map(({ stretches }) => stretches[stretches.length - 1]);
  const from = Math.min(...ends.map((end) => end.from));
  const to = Math.max(...ends.map((end) => end.to));
  return spanText(from, to, units);
}

/** What to look for after each pass. */
export function passWords({ laid }: Pick<PlannedFade, 'laid'>): readonly string[] {
  return (laid?.passes ?? []).map(({ least, most }, pass, all) => {
    const bare = percentText(most) === percentText(least) ? percentText(least) : `${percentText(least)} to ${percentText(most)}`;
    const last = pass === all.length - 1;
    const look = last
      ? 'no edge between two pots, and no pot barer than its neighbours but where it thins out'
      : 'a thin even veil; the change is there already, the base still shows between flakes';
    return `After pass ${pass + 1}, ${bare} bare: look for ${look}.`;
  });
}

/** A fade in one line. */
export function fadeWords({ laid, way, slices }: PlannedFade): string {
  const ways = { up: 'up', down: 'down', middle: 'from the middle both ways', round: 'round', spiral: 'along a spiral' } as const;
  return `fade ${ways[way]} in ${countText(laid?.pots.length ?? slices.length, 'pot')}`;
}

/** All that a hand needs to know of a pot on one line of paper. */
export const potLine = (pot: PlannedPot, number: number, units: Units): string =>
  `Pot ${number}: ${potRecipe(pot, units)}, strewn ${strewnSpan(pot, units)}`;

export const overlapWords = (overlap: number, units: Units): string =>
  overlap === 0
    ? 'Pots end edge to edge.'
    : `Neighbours are strewn ${lengthText(overlap, units)} over each other, each thinning out to nothing across it: tap the last bit out.`;

/** What whole spoons pour more than the wall needs; nothing where that is next to nothing. */
export function surplusWords({ laid }: Pick<PlannedFade, 'laid'>, units: Units): string {
  if (!laid || laid.surplus.share < 0.02) return '';
  const poured = laid.pots.reduce((sum, { ml }) => sum + ml, 0);
  const weight = laid.pots.reduce((sum, { ml, gramsPerMl }) => sum + ml * gramsPerMl, 0) / Math.max(1e-9, poured);
  const more = amountText(Number(laid.surplus.ml.toFixed(1)), units, weight);
  return `Whole spoons pour ${more} more than the wall needs, ${percentText(laid.surplus.share)}; what isn’t held is excess.`;
}

/** Mixes of several jars, to be made before any pot. */
export const madeFirstWords = ({ laid }: Pick<PlannedFade, 'laid'>, units: Units): readonly string[] =>
  (laid?.madeFirst ?? []).map(
    ({ name, ml, gramsPerMl, parts }) =>
      `Make ${amountText(ml, units, gramsPerMl)} of ${name} first: ${parts.map((part) => `${amountText(part.ml, units, part.gramsPerMl)} ${part.name}`).join(' + ')}.`,
  );

/** Base colours that fade along, stretch by stretch: `0–21 mm Honey`, `21–43 mm Honey 3 : 1 Soft black`. */
export function baseWords({ laid, paints }: Pick<PlannedFade, 'laid' | 'paints'>, units: Units): readonly string[] {
  if (paints.every((paint) => paint === null)) return [];
  return (laid?.pots ?? []).map((pot) => {
    const { stop, share } = pot.base;
    const [one, other] = [paints[stop], paints[Math.min(stop + 1, paints.length - 1)]];
    const eighths = Math.round(share * 8);
    const mixed =
      one === other || other === null || eighths === 0
        ? (one ?? 'as the coat has it')
        : one === null || eighths === 8
          ? other
          : `${one} ${partsOf(8 - eighths, eighths)} ${other}`;
    return `${potSpan(pot, units)} ${mixed}`;
  });
}

/** Two parts in eighths, brought down: `3 : 1`. */
function partsOf(one: number, other: number): string {
  const by = [4, 2].find((divisor) => one % divisor === 0 && other % divisor === 0) ?? 1;
  return `${one / by} : ${other / by}`;
}
