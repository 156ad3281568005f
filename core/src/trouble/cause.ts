import { rules } from '../check';
import type { CoatKindName, Design, Workshop } from '../design';
import type { Plan } from '../plan';
import { temperatureText } from '../units';

/** What a trouble is judged by: a design as planned, and the workshop it is made in. */
export interface TroubleFacts {
  readonly design: Design;
  readonly plan: Plan;
  readonly workshop: Workshop;
}

/** One thing a trouble may come from. */
export interface Cause {
  readonly says: string;
  /** what to do about it now */
  readonly cure: string;
  /** how it doesn't come about next time */
  readonly prevent: string;
  /** how often it is that, 1 seldom to 3 mostly, when nothing in the design speaks for or against it */
  readonly often: 1 | 2 | 3;
  /** what in this design speaks for it, a sentence; null when nothing does */
  readonly here?: (facts: TroubleFacts) => string | null;
}

/** What a maker sees, and what it may come from. */
export interface Trouble {
  readonly name: string;
  readonly causes: readonly Cause[];
}

const known: ReadonlySet<string> = new Set(rules.map(({ name }) => name));

/**
 * Says, of the rules named, what the check has found, in its own words.
 * @throws RangeError for a rule that there isn't: a cause would never be spoken for
 */
export function found(...names: readonly string[]): (facts: TroubleFacts) => string | null {
  for (const name of names) if (!known.has(name)) throw new RangeError(`There is no rule “${name}”.`);
  return ({ plan }) => plan.findings.find(({ rule }) => names.includes(rule))?.says ?? null;
}

/** Numbers of the coats of a kind, counted from 1. */
export const coatsOf = ({ design }: TroubleFacts, ...kinds: readonly CoatKindName[]): readonly number[] =>
  design.coats.flatMap(({ kind }, index) => (kinds.includes(kind) ? [index + 1] : []));

/** The number of the first coat of one kind that comes right after one of another; null for none. */
export function follows({ design }: TroubleFacts, kind: CoatKindName, after: CoatKindName): number | null {
  const at = design.coats.findIndex((coat, index) => coat.kind === kind && design.coats[index - 1]?.kind === after);
  return at < 0 ? null : at + 1;
}

/** Says that an area is masked, where one is. */
export const masked = ({ design }: TroubleFacts): string | null => {
  const area = design.areas.find((one) => one.masked);
  return area ? `${area.name} is masked.` : null;
};

/** Says how warm the room is, where that is so warm or so cold. */
export const roomAt =
  (speaks: (celsius: number) => boolean) =>
  ({ workshop: { settings } }: TroubleFacts): string | null =>
    speaks(settings.celsius) ? `The room is at ${temperatureText(settings.celsius, settings.units)}.` : null;
