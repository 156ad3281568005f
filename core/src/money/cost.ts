import type { CoatId } from '../design';
import type { ShelfItemId } from '../stock';

/** What a cost is for, in the order it is shown. */
export const costKinds = ['glitter', 'ink', 'resin', 'paint', 'glue', 'film', 'things', 'power', 'hours', 'rejects'] as const;
export type CostKind = (typeof costKinds)[number];

export const costKindNames: Readonly<Record<CostKind, string>> = {
  glitter: 'Glitter',
  ink: 'Ink and pearl',
  resin: 'Resin',
  paint: 'Paint',
  glue: 'Glue',
  film: 'Film',
  things: 'Cups and small things',
  power: 'Power',
  hours: 'Hours',
  rejects: 'Rejects',
};

/** What one coat takes of one thing. */
export interface CostLine {
  /** null of what belongs to no one coat */
  readonly coat: CoatId | null;
  readonly kind: CostKind;
  readonly name: string;
  /** jar it comes from; null of all else */
  readonly item: ShelfItemId | null;
  readonly amount: number;
  readonly unit: string;
  /** null where its price isn't known */
  readonly cost: number | null;
  /** of that cost, what ends up on no cup: in pots, on gloves, on the paper */
  readonly lost: number;
}

export interface Cost {
  readonly cups: number;
  readonly lines: readonly CostLine[];
  /** without hours and rejects; what has no price isn't in it */
  readonly materials: number;
  /** hours of hands, and what they cost; null where hours have no rate */
  readonly hours: number;
  readonly wages: number | null;
  readonly rejects: number;
  readonly total: number;
  /** names of what has no price, each once */
  readonly unpriced: readonly string[];
}

/** Share of cups that fail, as it is counted on. @param own as the maker says; null goes by what the logbook has */
export const rejectShare = (own: number | null, log: { readonly made: number; readonly failed: number }): number =>
  own ?? (log.made + log.failed === 0 ? 0 : Math.min(0.9, log.failed / (log.made + log.failed)));

/** Adds lines up; of every cup that is kept, so many that fail are paid for too. @param failing share of cups that fail */
export function costOf(cups: number, lines: readonly CostLine[], hours: number, failing: number): Cost {
  const sum = (of: readonly CostLine[]) => of.reduce((all, { cost }) => all + (cost ?? 0), 0);
  const materials = sum(lines.filter(({ kind }) => kind !== 'hours'));
  const paid = lines.filter(({ kind }) => kind === 'hours');
  const wages = paid.length > 0 && paid.every(({ cost }) => cost === null) ? null : sum(paid);
  const once = materials + (wages ?? 0);
  const rejects = (once * failing) / (1 - failing);
  const line: CostLine = {
    coat: null,
    kind: 'rejects',
    name: 'Cups that fail',
    item: null,
    amount: (cups * failing) / (1 - failing),
    unit: 'cups',
    cost: rejects,
    lost: rejects,
  };
  return {
    cups,
    lines: failing > 0 ? [...lines, line] : lines,
    materials,
    hours,
    wages,
    rejects,
    total: once + rejects,
    unpriced: [...new Set(lines.filter(({ cost }) => cost === null).map(({ name }) => name))],
  };
}

/** What each kind costs, most first; kinds that cost nothing are left out. */
export function byKind({ lines }: Cost): readonly { readonly kind: CostKind; readonly cost: number; readonly lost: number }[] {
  return costKinds
    .map((kind) => {
      const own = lines.filter((line) => line.kind === kind);
      return {
        kind,
        cost: own.reduce((all, { cost }) => all + (cost ?? 0), 0),
        lost: own.reduce((all, { lost }) => all + lost, 0),
      };
    })
    .filter(({ cost }) => cost > 0)
    .sort((one, other) => other.cost - one.cost);
}

/** What each coat costs, kind by kind, in the order they are laid; what belongs to none comes last, under null. */
export function byCoat({ lines }: Cost): readonly {
  readonly coat: CoatId | null;
  readonly kinds: Readonly<Partial<Record<CostKind, number>>>;
  readonly cost: number;
}[] {
  const coats = new Map<CoatId | null, Partial<Record<CostKind, number>>>();
  for (const { coat, kind, cost } of lines) {
    const kinds = coats.get(coat) ?? {};
    kinds[kind] = (kinds[kind] ?? 0) + (cost ?? 0);
    coats.set(coat, kinds);
  }
  const all = [...coats].map(([coat, kinds]) => ({ coat, kinds, cost: Object.values(kinds).reduce((sum, one) => sum + one, 0) }));
  return [...all.filter(({ coat }) => coat !== null), ...all.filter(({ coat }) => coat === null)];
}

/** Whether anything in it has a price: nothing is free because nobody wrote it down. */
export const isKnown = ({ total, unpriced }: Cost): boolean => total > 0 || unpriced.length === 0;

/** The same of one cup. */
export function eachOf(cost: Cost): Cost {
  const { cups } = cost;
  return {
    ...cost,
    cups: 1,
    lines: cost.lines.map((line) => ({
      ...line,
      amount: line.amount / cups,
      cost: line.cost === null ? null : line.cost / cups,
      lost: line.lost / cups,
    })),
    materials: cost.materials / cups,
    hours: cost.hours / cups,
    wages: cost.wages === null ? null : cost.wages / cups,
    rejects: cost.rejects / cups,
    total: cost.total / cups,
  };
}
