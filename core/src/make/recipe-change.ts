import type { Design } from '../design';

/** One way in which a cup was really made other than planned, as a change to its recipe that can be taken or left. */
export interface RecipeChange {
  readonly id: string;
  /** what it is of, and from what to what */
  readonly of: string;
  readonly planned: string;
  readonly really: string;
  /** the recipe with it; the same where what it changes is gone from it */
  apply(design: Design): Design;
}
