import { circumferenceAt, heightOf, radiusOf, type Station } from '../vessel';

/** A point of a picture, pixels from its upper left corner. */
export type PicturePoint = readonly [x: number, y: number];

/** Where a photo shows the ends of a cup's outline: the outermost points of rim and foot. */
export interface CupHandles {
  readonly rimLeft: PicturePoint;
  readonly rimRight: PicturePoint;
  readonly footLeft: PicturePoint;
  readonly footRight: PicturePoint;
}

/** The handles don't show a cup as it is; the sentence says what to do. */
export class HandlesError extends Error {
  override readonly name = 'HandlesError';
}

/** How a photo shows a cup. */
export interface SeenCup {
  /** degrees the camera looks down by */
  readonly tilt: number;
  /** which way is up along its axis, in the picture; of length one */
  readonly up: PicturePoint;
  /**
   * Where a point of the wall is in the picture.
   * @param aside degrees to the right of what faces the camera
   * @param height mm above the foot
   */
  point(aside: number, height: number): PicturePoint;
}

/** Heights of the cup that a camera usually stands away: so far that all of it is in the picture with room around it. */
const AWAY = 5;
/** How much less high than wide a cup may look before the handles are another cup's. */
const LEAST_HIGH = 0.6;
/** How much higher than it can be: hands aren't that exact. */
const MOST_HIGH = 1.15;

/**
 * Matches a cup's outline to its stations by four points. Along the axis the picture is a perspective one, by how much wider
 * the cup looks at one end than it is; towards the camera it is one from a usual distance, which four points can't tell. It
 * looks down by what shortens the cup.
 * @throws HandlesError where no cup of these stations looks so
 */
export function seenCup(stations: readonly Station[], handles: CupHandles): SeenCup {
  const { rimLeft, rimRight, footLeft, footRight } = handles;
  const [rim, foot] = [middle(rimLeft, rimRight), middle(footLeft, footRight)];
  const height = heightOf({ stations });
  const [rimRadius, footRadius] = [stations[stations.length - 1], stations[0]].map(({ circumference }) =>
    radiusOf(circumference),
  );
  // Pixels a mm, at either end.
  const [above, below] = [distance(rimLeft, rimRight) / (2 * rimRadius), distance(footLeft, footRight) / (2 * footRadius)];
  const long = distance(rim, foot);
  if (above < 0.2 || below < 0.2 || long < 20)
    throw new HandlesError('The cup is too small in this photo, or two handles lie on each other. Draw them onto rim and foot.');
  if (above / below > 1.6 || below / above > 1.6)
    throw new HandlesError(
      'Rim and foot can’t be that unlike on this cup. Draw each handle onto the outermost point of its end.',
    );
  const cosine = long / (height * ((above + below) / 2));
  if (cosine < LEAST_HIGH || cosine > MOST_HIGH)
    throw new HandlesError(
      `This cup is ${height.toFixed(0)} mm high and ${(2 * rimRadius).toFixed(0)} mm wide at the rim; the handles show another shape. Draw them onto the outermost points of rim and foot, or choose a photo taken from straight in front.`,
    );
  const shortened = Math.min(1, cosine);
  const sine = Math.sqrt(1 - shortened ** 2);
  const up: PicturePoint = [(rim[0] - foot[0]) / long, (rim[1] - foot[1]) / long];
  // A cup that stands upright in the picture has its right at the right.
  const right: PicturePoint = [-up[1], up[0]];
  return {
    tilt: (Math.acos(shortened) * 180) / Math.PI,
    up,
    point(aside, at) {
      const turn = (aside * Math.PI) / 180;
      const radius = radiusOf(circumferenceAt(stations, at));
      const share = at / height;
      const toward = radius * Math.cos(turn);
      // What is nearer looks larger, around the middle of the cup, which the camera is taken to look at.
      const nearer = 1 / (1 - toward / (AWAY * height));
      const scale = 1 / (1 / below + (1 / above - 1 / below) * share);
      const onAxis = share / (above / below + (1 - above / below) * share);
      // Seen from above, what is nearer lies lower in the picture.
      const along = long * (0.5 + (onAxis - 0.5) * nearer) - scale * nearer * toward * sine;
      const across = scale * nearer * radius * Math.sin(turn);
      return [foot[0] + along * up[0] + across * right[0], foot[1] + along * up[1] + across * right[1]];
    },
  };
}

const middle = ([x0, y0]: PicturePoint, [x1, y1]: PicturePoint): PicturePoint => [(x0 + x1) / 2, (y0 + y1) / 2];
const distance = ([x0, y0]: PicturePoint, [x1, y1]: PicturePoint): number => Math.hypot(x1 - x0, y1 - y0);
