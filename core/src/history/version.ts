import type { Design } from '../design';
import type { Plan } from '../plan';

/** A design as it was, with what it came to. */
export interface Version {
  readonly design: Design;
  readonly plan: Plan;
}
