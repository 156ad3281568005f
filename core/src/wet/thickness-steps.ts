import type { WetColour } from './wet-colour';

/**
 * Thicknesses of a film's pots told apart in steps, finer where they are thin: whatever has the same number looks the same, and
 * is worked out once.
 */
export class ThicknessSteps {
  /** mm of each pot at its thickest */
  private readonly most: readonly number[];

  /** @param steps of each pot, from none to its most */
  constructor(
    { colour }: Pick<WetColour, 'colour'>,
    private readonly steps: number,
  ) {
    this.most = colour.map((pot) => pot.reduce((top, mm) => Math.max(top, mm), 0));
  }

  /**
   * The number of some thicknesses.
   * @param thickOf mm of a pot
   * @param roundUp from which part of a step on a pot counts as the next one, 0..1
   */
  numberOf(thickOf: (pot: number) => number, roundUp: (pot: number) => number): number {
    let number = 0;
    for (let pot = this.most.length - 1; pot >= 0; pot -= 1) {
      const share = this.most[pot] > 0 ? Math.sqrt(Math.max(0, thickOf(pot)) / this.most[pot]) : 0;
      number = number * (this.steps + 1) + Math.min(this.steps, Math.floor(share * this.steps + 1 - roundUp(pot)));
    }
    return number;
  }

  /** mm of each pot that a number stands for. */
  thickOf(number: number): readonly number[] {
    return this.most.map((most, pot) => {
      const step = Math.floor(number / (this.steps + 1) ** pot) % (this.steps + 1);
      return (step / this.steps) ** 2 * most;
    });
  }
}
