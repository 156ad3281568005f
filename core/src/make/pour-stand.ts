import type { Devices } from '../device';
import { gramText, tidy } from '../units';
import type { MakeStep } from './make';
import { pourState, type PourState, type PourTarget } from './pour-target';

/** g either side of nothing that a scale which was set to nought may show. */
const NOUGHT = 0.15;

/** Whether a scale shows nothing, and lies still. */
export const isNought = ({ says }: Devices['scale']): boolean =>
  says?.says === 'weight' && says.steady && Math.abs(says.grams) <= NOUGHT;

/** Whether something lies in the pot, as far as the scale shows. */
export const isPoured = ({ says }: Devices['scale']): boolean => says?.says === 'weight' && says.grams > NOUGHT;

/** How a part is weighed: its pot isn't at nought yet, it is, or the scale was lost since. */
export type PourPhase = 'waits' | 'weighs' | 'was away';

/** How a pour stands. */
export interface PourStand {
  /** null while there is nothing to tell it by */
  readonly state: PourState | null;
  /** g that lie in the pot; null while what the scale shows is of something else */
  readonly grams: number | null;
  /** share of the target that is in, as far as it can be drawn */
  readonly full: number;
  readonly says: string;
  /** it may be taken as it is; and it is taken by itself */
  readonly takeable: boolean;
  readonly takes: boolean;
}

/** Share of a target up to which a pot is drawn. */
export const DRAWN = 1.15;

/** @param target null once all of it is weighed in */
export function pourStand(target: PourTarget | null, scale: Devices['scale'], phase: PourPhase): PourStand {
  const still = (says: string): PourStand => ({ state: null, grams: null, full: 0, says, takeable: false, takes: false });
  if (!target) return still('All of it is weighed in.');
  if (scale.reach !== 'here' || !scale.says)
    return still('The scale can’t be reached. Plug it in again; or type what was poured under “Used another amount”.');
  if (scale.says.says === 'overload') return still('That is more than the scale carries. Take something off it.');
  if (phase === 'waits') return still('Put the pot on; the scale is set to nought.');
  const { grams, steady } = scale.says;
  const state = pourState(target.grams, grams);
  const takeable = steady && grams > NOUGHT;
  const takes = phase === 'weighs' && takeable && (state === 'there' || state === 'over');
  const full = Math.min(DRAWN, Math.max(0, grams / target.grams));
  return { state, grams, full, says: pourText(target.grams, grams, state, phase), takeable, takes };
}

function pourText(target: number, grams: number, state: PourState, phase: PourPhase): string {
  if (phase === 'was away')
    return `The scale was away while you poured. If ${gramText(Math.max(0, grams))} is what lies in the pot, take it as it is; else weigh all of it again.`;
  if (grams < -NOUGHT) return `The scale is ${gramText(-grams)} below nought: put the pot back, or set it to nought again.`;
  switch (state) {
    case 'empty':
      return `Pour ${gramText(target)}.`;
    case 'pouring':
      return `${gramText(target - grams)} to go.`;
    case 'nearly':
      return `Slowly now: ${gramText(target - grams)} to go.`;
    case 'there':
      return 'Stop. Let it lie still.';
    case 'over':
      return `${gramText(grams - target)} over. Let it lie still: what comes next follows it.`;
  }
}

/** What was poured, by what is measured, once so many g of a part lie in the pot. @returns ml */
export function weighedIn(
  { amounts }: Pick<MakeStep, 'amounts'>,
  poured: Readonly<Record<string, number>>,
  key: string,
  grams: number,
): Readonly<Record<string, number>> {
  const gramsPerMl = amounts.find((one) => one.key === key)?.gramsPerMl ?? 1;
  return { ...poured, [key]: tidy(grams / gramsPerMl) };
}
