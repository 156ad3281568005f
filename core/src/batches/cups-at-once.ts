import { amountUsed, batchFor, inAll, measuredOut, potsBeside, type Batch, type PlannedCoat, type PlannedDrops } from '../coats';
import { gradedLoads, inksOf, type Coat, type CoatOf, type Design, type Workshop } from '../design';
import { dropsFor } from '../ink';
import { materialsOf, type Plan, type PlanTotals } from '../plan';
import { itemOf } from '../stock';
import { countText } from '../units';

/** The most cups that one pair of hands lays at once. */
export const MOST_CUPS = 24;

/** One coat on all of the cups. */
export interface CoatOnCups {
  readonly planned: PlannedCoat;
  /** how its resin is mixed; the amounts of `planned` are of one pot. Null of what isn’t mixed */
  readonly batch: Batch | null;
}

/** Several cups alike, coat by coat at the same time. */
export interface CupsAtOnce {
  readonly coats: readonly CoatOnCups[];
  readonly materials: Pick<PlanTotals, 'glitters' | 'resins' | 'inks' | 'others'>;
  /** ml of resin less than so many cups one after the other take */
  readonly saved: number;
}

/**
 * The amounts for several cups of a design at once: what is poured, painted and cut is as many times as much; resin is mixed
 * together, so that what a pot and a glove keep is lost once a pot.
 */
export function cupsAtOnce(plan: Plan, { coats }: Pick<Design, 'coats'>, workshop: Workshop, cups: number): CupsAtOnce {
  const onCups = plan.coats.map((planned, at) => coatOn(planned, coats[at], workshop, cups));
  const laid = onCups.map(({ planned, batch }, at) => ({ coat: coats[at], planned: allPots(planned, batch?.pots ?? 1) }));
  const once = plan.totals.resinMl;
  const materials = materialsOf(laid, workshop.shelf, plan.fades, cups);
  return { coats: onCups, materials, saved: cups * once - materials.resins.reduce((sum, { mix }) => sum + mix, 0) };
}

function coatOn(planned: PlannedCoat, coat: Coat, { shelf, settings }: Workshop, cups: number): CoatOnCups {
  const { area, thickness, mix, pours, uses, drops, strings, graded, handsOn } = planned;
  const resin = 'resin' in coat && coat.resin !== null ? itemOf(shelf, coat.resin, 'resin') : undefined;
  const batch =
    resin && mix && area !== null && thickness !== null
      ? batchFor(
          { area: cups * area, thickness, fill: cups * mix.fill, held: cups * mix.held, pots: potsBeside(graded?.pots ?? null) },
          resin,
          settings,
        )
      : null;
  const parted =
    graded && batch && coat.kind === 'ink'
      ? measuredOut(graded.pots, batch.each.mix - batch.each.held, inksInPots(coat, drops, shelf))
      : null;
  return {
    batch,
    planned: {
      ...planned,
      area: area === null ? null : cups * area,
      handsOn: cups * handsOn,
      mix: batch?.each ?? mix,
      graded: parted,
      drops: drops.map((one, at) => {
        if (parted) return { ...one, ...inAll(parted, at) };
        const ml = batch?.each.mix ?? cups * (strings?.pots.at(at)?.ml ?? 0);
        return ml > 0 ? dosed(one, coat, ml, shelf) : one;
      }),
      strings: strings && { ...strings, pots: strings.pots.map((pot) => ({ ...pot, ml: cups * pot.ml })) },
      pours: pours.map((pour) => ({
        ...pour,
        ml: cups * pour.ml,
        grams: cups * pour.grams,
        parts: pour.parts.map((part) => ({ ...part, ml: cups * part.ml, grams: cups * part.grams })),
      })),
      uses: uses.map((use) => {
        const counted = use.counted && { ...use.counted, count: cups * use.counted.count };
        const amount = cups * use.amount;
        return {
          ...use,
          amount,
          counted,
          reads: counted ? countText(counted.count, counted.dose) : amountUsed(use.kind, amount),
        };
      }),
    },
  };
}

/** The inks of a coat that changes on the way up, as its pots are mixed with them. */
const inksInPots = (coat: CoatOf<'ink'>, drops: readonly PlannedDrops[], shelf: Workshop['shelf']) =>
  drops.map(({ item }) => ({
    dropMl: itemOf(shelf, item, 'ink')?.dropMl ?? 0,
    loads: gradedLoads(coat)[inksOf(coat).findIndex(({ ink }) => ink === item)],
  }));

/** The load follows the drops that are counted into a pot. */
function dosed(drops: PlannedDrops, coat: Coat, ml: number, shelf: Workshop['shelf']): PlannedDrops {
  const ink = itemOf(shelf, drops.item, 'ink');
  const wished = inksOf(coat).find((one) => one.ink === drops.item)?.load ?? 0;
  const counted = ink ? dropsFor(wished, ml, ink.dropMl) : { drops: 0, load: 0 };
  return { ...drops, count: counted.drops, load: counted.load };
}

/** What all pots of a coat take together. */
function allPots(planned: PlannedCoat, pots: number): PlannedCoat {
  const { mix, drops } = planned;
  if (pots === 1 || mix === null) return planned;
  const { a, b, mix: ml, aGrams, bGrams } = mix;
  const all = { ...mix, a: pots * a, b: pots * b, mix: pots * ml, aGrams: pots * aGrams, bGrams: pots * bGrams };
  return { ...planned, mix: all, drops: drops.map((one) => ({ ...one, count: pots * one.count })) };
}
