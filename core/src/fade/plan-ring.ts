import { deltaE2000, differenceWords, hexOf, labOf, mixSpectra, reflectanceOf, type DifferenceWords } from '../colour';
import { EXACT_UP_TO, neighbourChroma, neighbourCost, ringOrder } from './ring-order';
import { ringBound } from './ring-bound';

/** A colour round the cup. */
export interface RingColour {
  readonly id: string;
  readonly name: string;
  /** hex */
  readonly colour: string;
}

/** Where two colours lie side by side. */
export interface RingMeeting {
  readonly one: RingColour;
  readonly other: RingColour;
  /** hex where they overlap, half and half */
  readonly mixed: string;
  /** OKLCh chroma lost against the mean of the two */
  readonly dulling: number;
  /** both colours are lively and what lies between them is grey */
  readonly mud: boolean;
  readonly difference: number;
  readonly words: DifferenceWords;
  readonly cost: number;
}

export interface RingPlan {
  readonly order: readonly RingColour[];
  readonly meetings: readonly RingMeeting[];
  readonly cost: number;
  /** what the colours cost in the order they are in */
  readonly now: number;
  /** no order costs less than this; the cost itself where the order is exact */
  readonly bound: number;
}

/** Too many colours for one cup, or too few to have an order; the sentence says what to do. */
export class RingError extends Error {
  override readonly name = 'RingError';
}

/** As many sections as still can be strewn apart. */
const MOST = 36;
/** OKLCh chroma under which a mix is mud, and over which both parents were lively. */
const MUD = 0.04;
const LIVELY = 0.1;

export function meetingOf(one: RingColour, other: RingColour): RingMeeting {
  const [a, b] = [reflectanceOf(one.colour), reflectanceOf(other.colour)];
  const chroma = neighbourChroma(one.colour, other.colour);
  const difference = deltaE2000(labOf(a), labOf(b));
  return {
    one,
    other,
    mixed: hexOf(mixSpectra([a, b], [0.5, 0.5])),
    dulling: Math.max(0, (chroma.one + chroma.other) / 2 - chroma.mixed),
    mud: chroma.mixed < MUD && chroma.one > LIVELY && chroma.other > LIVELY,
    difference,
    words: differenceWords(difference),
    cost: neighbourCost(one.colour, other.colour),
  };
}

/**
 * The order round the cup in which neighbours stay cleanest, and how each meeting looks. The seam comes to lie at
 * the quietest meeting, unless a colour has to be first.
 * @param colours in the order they are in
 * @param first id of the colour that begins at the seam; null for the quietest seam
 * @throws RingError when there are too few or too many
 */
export function planRing(colours: readonly RingColour[], first: string | null = null): RingPlan {
  if (colours.length < 3) throw new RingError('Two colours have only one order. A ring takes three or more.');
  if (colours.length > MOST)
    throw new RingError(
      `${colours.length} colours are more than can be strewn apart on a cup; ${MOST} are the most a ring takes.`,
    );
  const { order, cost } = ringOrder(colours.map(({ colour }) => colour));
  const ring = order.map((at) => colours[at]);
  const meetings = meetingsOf(ring);
  const start =
    first === null
      ? (quietest(meetings) + 1) % ring.length
      : Math.max(
          0,
          ring.findIndex(({ id }) => id === first),
        );
  const turned = [...ring.slice(start), ...ring.slice(0, start)];
  const costs = colours.map((one) => colours.map((other) => neighbourCost(one.colour, other.colour)));
  return {
    order: turned,
    meetings: meetingsOf(turned),
    cost,
    now: meetingsOf(colours).reduce((sum, one) => sum + one.cost, 0),
    bound: colours.length <= EXACT_UP_TO ? cost : Math.min(cost, ringBound(costs)),
  };
}

/** Each colour with the next one, the last with the first. */
const meetingsOf = (ring: readonly RingColour[]): readonly RingMeeting[] =>
  ring.map((one, i) => meetingOf(one, ring[(i + 1) % ring.length]));

const quietest = (meetings: readonly RingMeeting[]): number =>
  meetings.reduce((best, { difference }, i) => (difference < meetings[best].difference ? i : best), 0);
