import { deltaE2000, differenceWords, hexOf, isMud, labOf, mixSpectra, reflectanceOf, type DifferenceWords } from '../colour';
import { heldRing } from './held-ring';
import { EXACT_UP_TO, neighbourChroma, neighbourCost } from './ring-order';

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

export function meetingOf(one: RingColour, other: RingColour): RingMeeting {
  const [a, b] = [reflectanceOf(one.colour), reflectanceOf(other.colour)];
  const chroma = neighbourChroma(one.colour, other.colour);
  const difference = deltaE2000(labOf(a), labOf(b));
  return {
    one,
    other,
    mixed: hexOf(mixSpectra([a, b], [0.5, 0.5])),
    dulling: Math.max(0, (chroma.one + chroma.other) / 2 - chroma.mixed),
    mud: isMud(chroma.one, chroma.other, chroma.mixed),
    difference,
    words: differenceWords(difference),
    cost: neighbourCost(one.colour, other.colour),
  };
}

/** What a maker holds fast of a ring. */
export interface RingWish {
  /** id of the colour that begins; null for the quietest seam, or along a spiral for whichever is cheapest */
  readonly first?: string | null;
  /** ids that have to be neighbours */
  readonly together?: readonly (readonly [string, string])[];
  /** along a spiral the last doesn't meet the first */
  readonly open?: boolean;
}

/**
 * The order round the cup, or along a spiral, in which neighbours stay cleanest, and how each meeting looks. Round the
 * cup the seam comes to lie at the quietest meeting, unless a colour has to be first.
 * @param colours in the order they are in
 * @throws RingError when there are too few or too many, or when too much is held fast
 */
export function planRing(colours: readonly RingColour[], { first = null, together = [], open = false }: RingWish = {}): RingPlan {
  if (colours.length < 3) throw new RingError('Two colours have only one order. A ring takes three or more.');
  if (colours.length > MOST)
    throw new RingError(
      `${colours.length} colours are more than can be strewn apart on a cup; ${MOST} are the most a ring takes.`,
    );
  const at = (id: string) => colours.findIndex((one) => one.id === id);
  const costs = colours.map((one) => colours.map((other) => neighbourCost(one.colour, other.colour)));
  const pairs = together.map(([one, other]) => [at(one), at(other)] as const).filter(([one, other]) => one >= 0 && other >= 0);
  const wrong = knot(pairs, colours) ?? endsWrong(pairs, colours, open, first === null ? -1 : at(first));
  if (wrong !== null) throw new RingError(wrong);
  const { order, bound } = heldRing(costs, pairs, open, first === null ? null : at(first));
  const ring = order.map((one) => colours[one]);
  const turned = open ? ring : turnedTo(ring, first, together);
  const meetings = meetingsOf(turned, open);
  const cost = costOf(meetings);
  return {
    order: turned,
    meetings,
    cost,
    now: costOf(meetingsOf(colours, open)),
    bound: colours.length + (open ? 1 : 0) <= EXACT_UP_TO ? cost : Math.min(cost, bound),
  };
}

const costOf = (meetings: readonly RingMeeting[]): number => meetings.reduce((sum, one) => sum + one.cost, 0);

/** The same ring begun where it has to be, or so that the quietest meeting lies at the seam; kept pairs aren't parted by it. */
function turnedTo(
  ring: readonly RingColour[],
  first: string | null,
  together: NonNullable<RingWish['together']>,
): readonly RingColour[] {
  const kept = ({ one, other }: RingMeeting) => together.some((pair) => pair.includes(one.id) && pair.includes(other.id));
  const meetings = meetingsOf(ring, false);
  const free = meetings.filter((meeting) => !kept(meeting));
  const quietest = (free.length > 0 ? free : meetings).reduce((best, one) => (one.difference < best.difference ? one : best));
  const start =
    first === null
      ? (meetings.indexOf(quietest) + 1) % ring.length
      : Math.max(
          0,
          ring.findIndex(({ id }) => id === first),
        );
  return [...ring.slice(start), ...ring.slice(0, start)];
}

/** Why pairs can't all be neighbours; null when they can. */
function knot(pairs: readonly (readonly [number, number])[], colours: readonly RingColour[]): string | null {
  const partners = colours.map((_, i) => pairs.filter((pair) => pair.includes(i)).length);
  const crowded = partners.findIndex((count) => count > 2);
  if (crowded >= 0) return `${colours[crowded].name} is to have ${partners[crowded]} neighbours; it has two sides. Let one go.`;
  // Following pairs from colour to colour must not come back to where it began, unless it went through all.
  const group = colours.map((_, i) => i);
  const rootOf = (i: number): number => (group[i] === i ? i : rootOf(group[i]));
  for (const [one, other] of pairs) {
    if (rootOf(one) === rootOf(other) && pairs.length < colours.length)
      return `${colours[one].name} and ${colours[other].name} close a circle that leaves colours out. Let one pair go.`;
    group[rootOf(one)] = rootOf(other);
  }
  return null;
}

/** Why a way with two ends can't hold what a ring could: its first colour has one neighbour, and no pairs close it. */
function endsWrong(
  pairs: readonly (readonly [number, number])[],
  colours: readonly RingColour[],
  open: boolean,
  first: number,
): string | null {
  if (!open) return null;
  if (first >= 0 && pairs.filter((pair) => pair.includes(first)).length > 1)
    return `${colours[first].name} begins the way, so it has one neighbour, and is to have two. Let one go, or begin with another.`;
  if (pairs.length >= colours.length) return 'So many pairs close a circle, and a way has two ends. Let one pair go.';
  return null;
}

/** Each colour with the next one; round the cup the last with the first too. */
const meetingsOf = (ring: readonly RingColour[], open: boolean): readonly RingMeeting[] =>
  (open ? ring.slice(0, -1) : ring).map((one, i) => meetingOf(one, ring[(i + 1) % ring.length]));
