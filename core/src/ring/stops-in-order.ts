import type { Fade } from '../design';
import type { PlannedFade } from '../pots';
import { planRing } from './plan-ring';

/**
 * A fade's colours in the order in which neighbours stay cleanest, at the places its stops have: round the cup the last
 * meets the first, on any other way it doesn't. As it is where two stops or fewer have a colour.
 */
export function inCleanOrder(fade: Fade, { laid }: Pick<PlannedFade, 'laid'>): Fade {
  const colours = fade.stops.flatMap((_, i) => {
    const pot = laid?.pots.find(({ slot }) => slot.stop === i && slot.step === 0);
    return pot ? [{ id: `${i}`, name: `stop ${i + 1}`, colour: pot.seen }] : [];
  });
  if (colours.length < 3 || colours.length < fade.stops.length) return fade;
  const { order } = planRing(colours, { open: fade.way !== 'round' });
  return { ...fade, stops: order.map(({ id }, i) => ({ ...fade.stops[Number(id)], at: fade.stops[i].at })) };
}
