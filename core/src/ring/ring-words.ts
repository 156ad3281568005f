import { percentText } from '../units';
import type { RingMeeting, RingPlan } from './plan-ring';

/** OKLCh chroma lost that no eye misses, and from which a meeting is plainly dull. */
const UNSEEN = 0.005;
const MUCH = 0.04;

/** How dull a meeting is, in a word. */
export const dulledWord = ({ dulling, mud }: RingMeeting): string =>
  mud ? 'mud' : dulling < UNSEEN ? 'not' : dulling < MUCH ? 'a little' : 'much';

/**
 * What a planned ring is worth, in a sentence or two.
 * @param stands the sections stand in that order already
 */
export function ringWords({ meetings, cost, now }: RingPlan, stands: boolean): string {
  const muddy = meetings.filter(({ mud }) => mud).length;
  const turn = muddy === 1 ? 'One meeting turns' : `${muddy} meetings turn`;
  const mud = muddy === 0 ? 'No meeting turns to mud.' : `${turn} to mud all the same: strew those apart.`;
  if (stands) return `The sections stand so already. ${mud}`;
  const saved = 1 - cost / now;
  return `${saved < UNSEEN ? 'As clean as the order now, with the seam elsewhere.' : `${percentText(saved)} cleaner than the order now.`} ${mud}`;
}
