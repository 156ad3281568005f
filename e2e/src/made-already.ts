import type { Make } from '@aurantia/core/make';
import { v7 } from 'uuid';
import type { Program } from './program';

/** How a cup is made without a hand: its amounts off by a share, coats so many minutes late, and so long left between them that a sensor is heard, ms. */
export interface MadeHow {
  readonly label?: string;
  readonly off?: number;
  readonly late?: number;
  readonly heard?: number;
}

/** Makes a design from first touch to its last coat over the program's own routes, by a clock that is moved on. @returns the make */
export async function madeAlready(
  program: Program,
  design: string,
  { label = '', off = 0, late = 0, heard = 0 }: MadeHow = {},
): Promise<Make> {
  const { make } = await program.send<{ make: Make }>('POST', 'makes', { id: v7(), design, label });
  let after = 0;
  const write = async (entry: object) => {
    await program.send('POST', `makes/${make.id}/entries`, { after, entry: { id: v7(), ...entry } });
    after += 1;
  };
  for (const [i, { coat, amounts, handsOn, wait, flakes, mix }] of make.steps.entries()) {
    await write({ what: 'begun', coat });
    await program.wait(handsOn);
    const times = 1 + off * ((i % 3) - 1);
    const poured =
      off === 0 ? {} : Object.fromEntries(amounts.map(({ key, amount }) => [key, Math.round(10 * amount * times) / 10]));
    await write({ what: 'done', coat, poured });
    const grams = flakes?.pours.reduce((sum, pour) => sum + pour.grams, 0);
    if (grams !== undefined)
      await write({ what: 'weighed', coat, cup: { before: 240, after: Math.round(10 * (240 + 0.5 * grams)) / 10 } });
    else if (mix) await write({ what: 'weighed', coat, pot: 2 + (i % 4) / 10 });
    if (heard > 0) await new Promise((resolve) => setTimeout(resolve, heard));
    await program.wait(wait.minutes + 1 + late);
  }
  return make;
}
