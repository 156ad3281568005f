import { newFindings, type Finding } from '../check';
import { deltaE2000, differenceWords, labOf, reflectanceOf } from '../colour';
import type { CoatId, Design, Settings } from '../design';
import { planOf, type Plan } from '../plan';
import { percentText, type Units } from '../units';
import { halfDone } from './as-done';
import { benchOf, type BenchCoat } from './bench';
import { amountRead } from './bench-words';
import type { LogEntry } from './log-entry';
import type { Make, MakeAmount } from './make';
import { makeOf } from './make-of';

/** An amount still to come that is another now, since what lies under it is. */
export interface AmountAnew {
  readonly coat: CoatId;
  readonly key: string;
  readonly name: string;
  /** in its own unit */
  readonly amount: number;
  /** as they are read */
  readonly planned: string;
  readonly anew: string;
}

/** How a place will look otherwise than planned. */
export interface PlaceAnew {
  readonly name: string;
  /** share left bare, of places with a blend; null elsewhere */
  readonly bare: number | null;
  readonly bareBefore: number | null;
  /** hex of the finished cup there */
  readonly planned: string;
  readonly becomes: string;
  readonly deltaE: number;
  readonly says: string;
}

/** A half-made cup planned anew from what was really done. */
export interface FromHere {
  readonly amounts: readonly AmountAnew[];
  readonly places: readonly PlaceAnew[];
  /** what is likely worse now, and wasn't as planned */
  readonly findings: readonly Pick<Finding, 'level' | 'says' | 'why'>[];
}

/** As planned. */
export const NOTHING_OTHER: FromHere = { amounts: [], places: [], findings: [] };
/** Less than this nobody can see, or pour: share left bare, ΔE00. */
const BARE_SEEN = 0.005;
const COLOUR_SEEN = 1;

/** Whether all was done as planned so far. @param laying what was typed of the coat that is being laid */
export const asPlannedSoFar = (coats: readonly BenchCoat[], laying: Readonly<Record<string, number>>): boolean =>
  Object.keys(laying).length === 0 && coats.every(({ state, poured }) => state !== 'skipped' && Object.keys(poured).length === 0);

/**
 * Plans the rest of a cup from what was really poured, laid and left out of it: amounts of the coats to come, what the finished
 * cup will look like, and what is wrong now that wasn't. Glitter still to be poured stays as planned: what it is poured on doesn't
 * change how much covers.
 * @param laying what was typed of the coat that is being laid, by what is measured; it counts as poured
 */
export function fromHere(
  make: Make,
  entries: readonly LogEntry[],
  laying: Readonly<Record<string, number>>,
  now: Pick<Settings, 'units' | 'losses'>,
): FromHere {
  const { coats, standing } = benchOf(make, entries, 0);
  const there = coats.map((coat, i): BenchCoat => (i === standing.at ? { ...coat, poured: laying } : coat));
  if (asPlannedSoFar(coats, laying)) return NOTHING_OTHER;
  const design = halfDone(make, there, now);
  if (JSON.stringify(design) === JSON.stringify(make.design)) return NOTHING_OTHER;
  const workshop = { settings: make.settings, shelf: make.shelf };
  const [before, after] = [planOf(make.design, workshop), planOf(design, workshop)];
  return {
    amounts: amountsAnew(make, there, design, standing.at, now.units),
    places: placesAnew(before, after),
    findings: newFindings(before.findings, after.findings).map(({ level, says, why }) => ({ level, says, why })),
  };
}

function amountsAnew(
  make: Make,
  coats: readonly BenchCoat[],
  design: Design,
  at: number | null,
  units: Units,
): readonly AmountAnew[] {
  if (at === null || design.coats.length === 0) return [];
  const { settings, shelf, revision, number } = make;
  const anew = makeOf(make, { design, revision, workshop: { settings, shelf }, number, at: make.at });
  const comes = coats.slice(at).filter(({ state }) => state !== 'skipped');
  return comes.flatMap(({ step, poured }) => {
    const others = anew.steps.find(({ coat }) => coat === step.coat)?.amounts ?? [];
    return step.amounts.flatMap((amount) => amountAnew(step.coat, amount, others, poured, units));
  });
}

function amountAnew(
  coat: CoatId,
  amount: MakeAmount,
  others: readonly MakeAmount[],
  poured: Readonly<Record<string, number>>,
  units: Units,
): readonly AmountAnew[] {
  const other = others.find(({ key }) => key === amount.key);
  if (!other || amount.key.startsWith('pour/') || amount.key in poured) return [];
  const [planned, anew] = [amount, other].map((one) => amountRead(one, one.amount, units).figure);
  return planned === anew ? [] : [{ coat, key: amount.key, name: amount.name, amount: other.amount, planned, anew }];
}

/** Share left bare of a blend, or of a pot of a fade; null where neither lies. */
const bareOf = ({ blends, fades }: Plan, place: string, area: string): number | null =>
  fades.flatMap(({ laid }) => laid?.pots ?? []).find(({ id }) => id === place)?.bare ??
  blends.find((one) => one.area === area)?.bare ??
  null;

function placesAnew(before: Plan, after: Plan): readonly PlaceAnew[] {
  return after.places.flatMap(({ id, name, area }) => {
    const [planned, becomes] = [before, after].map((plan) => plan.finished[id] ?? plan.bareWall);
    const deltaE = deltaE2000(labOf(reflectanceOf(planned)), labOf(reflectanceOf(becomes)));
    const [bareBefore, bare] = [before, after].map((plan) => bareOf(plan, id, area));
    const barer = bare !== null && bareBefore !== null && Math.abs(bare - bareBefore) >= BARE_SEEN;
    if (!barer && deltaE < COLOUR_SEEN) return [];
    const cover = barer ? `${percentText(bare)} stays bare, ${percentText(bareBefore)} planned; ` : '';
    const says = `${name}: ${cover}${differenceWords(deltaE).says} (ΔE ${deltaE.toFixed(1)}).`;
    return [{ name, bare, bareBefore, planned, becomes, deltaE, says }];
  });
}
