import type { MakeAmount, MakeStep } from './make';
import { answerPour } from './over-poured';
import { reallyPoured } from './taken';

/** What is poured next onto a scale, and how much of it, by what was really poured before it. */
export interface PourTarget {
  readonly key: string;
  readonly name: string;
  readonly grams: number;
  /** g as it was planned, where what was poured before made it another amount; null where it is as planned */
  readonly planned: number | null;
}

/** How far a pour has come. */
export type PourState = 'empty' | 'pouring' | 'nearly' | 'there' | 'over';

/** g and share of it by which a pour may miss and be what was wanted: a step of the scale, and less than any eye sees. */
const WITHIN = { grams: 0.15, share: 0.01 } as const;
/** g, and share, from which on it is poured slowly. */
const NEARLY = 0.85;

/** What of a coat is weighed in, part by part. */
export const weighable = ({ amounts }: Pick<MakeStep, 'amounts'>): readonly MakeAmount[] =>
  amounts.filter(({ gramsPerMl, amount }) => gramsPerMl !== null && amount > 0);

/**
 * What is poured next: the other part of a resin follows the first one by its ratio, and the jars of a blend keep their
 * shares, so that a hand that slipped once spoils neither.
 * @param poured ml by what is measured, of what was weighed in already
 * @returns null once all of it is
 */
export function nextPour(step: MakeStep, poured: Readonly<Record<string, number>>): PourTarget | null {
  const next = weighable(step).find(({ key }) => !(key in poured));
  if (!next) return null;
  const { key, name, where, amount, gramsPerMl } = next;
  const ml = wantedOf(step, next, poured);
  const grams = ml * (gramsPerMl ?? 1);
  const planned = amount * (gramsPerMl ?? 1);
  return {
    key,
    name: where === null ? name : `${name}, ${where}`,
    grams,
    planned: Math.abs(grams - planned) > withinOf(planned) ? planned : null,
  };
}

function wantedOf(step: MakeStep, { key, amount }: MakeAmount, poured: Readonly<Record<string, number>>): number {
  if (key === 'a' || key === 'b') {
    const other = key === 'a' ? 'b' : 'a';
    return other in poured ? (answerPour(step, other, poured[other])?.other ?? amount) : amount;
  }
  const area = key.startsWith('pour/') ? key.slice(0, key.lastIndexOf('/') + 1) : null;
  const before = area === null ? [] : step.amounts.filter((one) => one.key.startsWith(area) && one.key in poured);
  const planned = before.reduce((sum, one) => sum + one.amount, 0);
  const really = before.reduce((sum, one) => sum + reallyPoured(one, poured), 0);
  return planned > 0 ? (amount * really) / planned : amount;
}

const withinOf = (grams: number): number => Math.max(WITHIN.grams, WITHIN.share * grams);

/** How far a pour has come. @param grams on the scale since it was tared */
export function pourState(target: number, grams: number): PourState {
  const within = withinOf(target);
  if (grams > target + within) return 'over';
  if (grams >= target - within) return 'there';
  if (grams >= NEARLY * target) return 'nearly';
  return grams > WITHIN.grams ? 'pouring' : 'empty';
}
