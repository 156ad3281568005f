import type { Cause, Trouble, TroubleFacts } from './cause';
import { glitterTroubles } from './glitter-troubles';
import { laidOnTroubles } from './laid-on-troubles';
import { resinTroubles } from './resin-troubles';

/** What makers see go wrong, worked backwards. */
export const troubles: readonly Trouble[] = [...resinTroubles, ...glitterTroubles, ...laidOnTroubles];

/** A cause, with what in the design speaks for it. */
export interface RankedCause extends Omit<Cause, 'here'> {
  readonly because: string | null;
}

/** The causes of a trouble, those first that this design speaks for, then those it mostly is. */
export function causesOf(trouble: Trouble, facts: TroubleFacts): readonly RankedCause[] {
  return trouble.causes
    .map(({ here, ...cause }) => ({ ...cause, because: here?.(facts) ?? null }))
    .sort((a, b) => Number(b.because !== null) - Number(a.because !== null) || b.often - a.often);
}
