import type { Coat } from '../design';
import { benchOf, caughtOf, takenFrom, type LogEntry, type LogEntryOf, type Make, type MakeStep } from '../make';
import { costPerMl, countedIn, type ShelfItem } from '../stock';
import { worksOf } from '../week';
import { costOf, type Cost, type CostKind, type CostLine } from './cost';
import { thingNames, type MoneyWays, type Thing } from './ways';

/** What things are priced by. */
export interface Prices {
  readonly ways: MoneyWays;
  /** jars as they are today: they price what a make was frozen with before its price was known */
  readonly shelf: readonly ShelfItem[];
  /** share of cups that fail */
  readonly failing: number;
}

/** What a make costs by its plan. */
export const plannedCost = (make: Make, prices: Prices): Cost =>
  added(
    make,
    prices,
    make.steps.map((step) => ({ step, poured: {}, minutes: step.handsOn, kept: [] })),
  );

/**
 * What a make really cost so far: of each coat that is done, what was poured, at what was paid for its jar; what was caught and
 * kept is worth what it cost. Skipped coats cost nothing.
 */
export function realCost(make: Make, entries: readonly LogEntry[], prices: Prices): Cost {
  const { coats } = benchOf(make, entries, Date.parse(entries.at(-1)?.at ?? make.at));
  return added(
    make,
    prices,
    coats
      .filter(({ state }) => state === 'done')
      .map(({ step, poured, begun, ended }) => ({
        step,
        poured,
        minutes: handsFor(step, begun, ended),
        kept: keptSince(entries, step),
      })),
  );
}

/** One coat as it is paid for. */
interface Paid {
  readonly step: MakeStep;
  readonly poured: Readonly<Record<string, number>>;
  readonly minutes: number;
  readonly kept: readonly LogEntryOf<'kept'>[];
}

/** Whoever forgot to press “done” wasn't at it all night: longer than so many times the plan counts as planned. */
const FORGOTTEN = 4;

function handsFor({ handsOn }: MakeStep, begun: number | null, ended: number | null): number {
  const real = begun === null || ended === null ? 0 : (ended - begun) / 60_000;
  return real <= 0 || real > FORGOTTEN * handsOn ? handsOn : real;
}

function keptSince(entries: readonly LogEntry[], { coat }: MakeStep): readonly LogEntryOf<'kept'>[] {
  const undone = entries.findLastIndex((one) => one.what === 'undone' && one.coat === coat);
  return entries.slice(undone + 1).filter((one): one is LogEntryOf<'kept'> => one.what === 'kept' && one.coat === coat);
}

function added(make: Make, { ways, shelf, failing }: Prices, all: readonly Paid[]): Cost {
  const jarOf = (item: string): ShelfItem | undefined => {
    const own = make.shelf.find(({ id }) => id === item);
    const today = shelf.find(({ id }) => id === item);
    return own && costPerMl(own) !== null ? own : (today ?? own);
  };
  const things: Things = (coat, thing, amount, unit) => {
    const price = ways.things[thing];
    const cost = price === null ? null : price * amount;
    return { coat, kind: 'things', name: thingNames[thing], item: null, amount, unit, cost, lost: 0 };
  };
  const works = worksOf(make, make.settings.celsius);
  const lines = all.flatMap((paid): readonly CostLine[] => {
    const { step } = paid;
    const work = works[make.steps.indexOf(step)];
    const turned = ((work.hands + work.turning) * work.turns) / 60;
    return [
      ...jarLines(make, paid, jarOf),
      ...thingLines(
        step,
        make.design.coats.find(({ id }) => id === step.coat),
        make.cups,
        things,
      ),
      ...(turned > 0 && ways.watts > 0 ? [power(step, (turned * ways.watts) / 1000, ways)] : []),
      ...(paid.minutes > 0 ? [hours(step, paid.minutes / 60, ways)] : []),
    ];
  });
  const cups = all.length > 0 ? [things(null, 'cup', make.cups, 'cups')] : [];
  const minutes = all.reduce((sum, one) => sum + one.minutes, 0);
  return costOf(make.cups, [...lines, ...cups], minutes / 60, failing);
}

const power = ({ coat }: MakeStep, amount: number, { kilowattHour }: MoneyWays): CostLine => ({
  coat,
  kind: 'power',
  name: 'Power of the turner',
  item: null,
  amount,
  unit: 'kWh',
  cost: kilowattHour === null ? null : amount * kilowattHour,
  lost: 0,
});

const hours = ({ coat }: MakeStep, amount: number, { rate }: MoneyWays): CostLine => ({
  coat,
  kind: 'hours',
  name: 'Hours of hands',
  item: null,
  amount,
  unit: 'h',
  cost: rate === null ? null : amount * rate,
  lost: 0,
});

/** What a coat takes of jars, less what was caught and kept. */
function jarLines(make: Make, { step, poured, kept }: Paid, jarOf: (item: string) => ShelfItem | undefined): readonly CostLine[] {
  const places = caughtOf(make, step, poured);
  return takenFrom(step, poured).map(({ item, amount }): CostLine => {
    const jar = jarOf(item);
    const each = jar ? costPerMl(jar) : null;
    // Of a mix that was caught, each jar has its share of what was poured there.
    const caught = (of: (place: (typeof places)[number]) => number): number =>
      places.reduce((sum, place) => {
        const own = place.parts.filter((part) => part.item === item).reduce((all, { ml }) => all + ml, 0);
        return place.poured > 0 ? sum + (own / place.poured) * of(place) : sum;
      }, 0);
    const back = Math.min(
      amount,
      caught(({ place }) => kept.filter((one) => one.place === place).reduce((all, { ml }) => all + ml, 0)),
    );
    const away = Math.max(0, caught(({ expected }) => expected) - back);
    const share = amount > 0 ? (jar?.kind === 'resin' ? spilt(step) : away / amount) : 0;
    const cost = each === null ? null : (amount - back) * each;
    return {
      coat: step.coat,
      kind: kindOf(jar),
      name: jar?.name ?? step.amounts.find((one) => one.item === item)?.name ?? item,
      item: jar?.id ?? null,
      amount: amount - back,
      unit: jar ? countedIn(jar) : 'ml',
      cost,
      lost: (cost ?? 0) * Math.min(1, share),
    };
  });
}

const kindOf = (jar: ShelfItem | undefined): CostKind => jar?.kind ?? 'things';

/** The share of a mix that pots and gloves keep. */
function spilt({ mix, amounts }: MakeStep): number {
  if (!mix) return 0;
  const stirred = amounts.filter(({ key }) => key === 'a' || key === 'b').reduce((sum, { amount }) => sum + amount, 0);
  const laid = (mix.area * mix.thickness) / 10 + mix.fill + mix.held;
  return stirred > 0 ? Math.max(0, 1 - laid / stirred) : 0;
}

type Things = (coat: MakeStep['coat'] | null, thing: Thing, amount: number, unit: string) => CostLine;

/** Coats that something is cut for. */
const CUT: readonly Coat['kind'][] = ['mask', 'strip', 'outline', 'decal', 'sheet', 'paper'];

/** Small things that stand on no shelf: a pair of gloves and a pot a mix, paper a sanding, blades and sealer a cup. */
function thingLines({ coat, mix, amounts }: MakeStep, laid: Coat | undefined, cups: number, line: Things): readonly CostLine[] {
  const lines: CostLine[] = [];
  if (mix) {
    const inks = amounts.filter(({ key }) => key.startsWith('drops/')).length;
    lines.push(line(coat, 'gloves', mix.times, 'pairs'), line(coat, 'pot', mix.times * (1 + Math.max(0, inks - 1)), 'pots'));
  } else if (laid?.kind === 'base' || laid?.kind === 'prep') lines.push(line(coat, 'gloves', 1, 'pairs'));
  if (laid?.kind === 'sand' || laid?.kind === 'prep' || laid?.kind === 'rim') lines.push(line(coat, 'sandpaper', cups, 'cups'));
  if (laid && CUT.includes(laid.kind)) lines.push(line(coat, 'blade', cups, 'cups'));
  if (laid?.kind === 'seal') lines.push(line(coat, 'sealer', cups * laid.passes, 'light coats'));
  return lines;
}
