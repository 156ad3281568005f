import { tidy } from '../units';
import type { MakeAmount, MakeStep } from './make';

/** So much of a jar, in what the jar is counted in: ml, or sheets of a film. */
export interface TakenFromJar {
  readonly item: string;
  readonly amount: number;
}

/** How much of something a coat really took: what was said, else what was planned. @returns in its own unit, of all mixes together */
export function reallyPoured({ key, amount }: MakeAmount, poured: Readonly<Record<string, number>>): number {
  return poured[key] ?? amount;
}

/** What a done coat takes from the shelf, jar by jar, as it was really poured. */
export function takenFrom(
  { amounts, mix }: Pick<MakeStep, 'amounts' | 'mix'>,
  poured: Readonly<Record<string, number>>,
): readonly TakenFromJar[] {
  const jars = new Map<string, number>();
  for (const amount of amounts) {
    if (amount.item === null) continue;
    const times = amount.key === 'a' || amount.key === 'b' || amount.key.startsWith('drops/') ? (mix?.times ?? 1) : 1;
    jars.set(amount.item, (jars.get(amount.item) ?? 0) + times * reallyPoured(amount, poured) * amount.each);
  }
  return [...jars].map(([item, amount]) => ({ item, amount: tidy(amount) })).filter(({ amount }) => amount > 0);
}
