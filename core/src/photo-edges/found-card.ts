import { fromMask, Mask } from 'image-js';
import { labOfLinearRgb, linearRgbOfHex } from '../colour';
import { cardSeen, type CupHandles, type Picture, type PicturePoint } from '../cup-photo';
import { inPolygon } from '../regions';
import { apartAt, finePicture } from './small-picture';

/** Of 255, from a pixel to the one after the next but one: more is an edge; and of the grain of the picture. */
const EDGE = 7;
const OVER_GRAIN = 3;
/** Shares of the picture that a card takes. */
const SIZE = { least: 0.0008, most: 0.12 } as const;
/** Share of the smallest rectangle around it that a card fills, all in it counted; and without what its grain breaks out of it. */
const SQUARE = 0.86;
const WHOLE = 0.6;
/** How many times as long as wide a card may look. */
const LONGEST = 4;
/** Of the lightest thing's L*: what is darker is no white card beside it, but may be a grey one. */
const FAR_DARKER = 0.8;

/** Something flat and square beside the cup. */
export interface FoundCard {
  /** its middle, pixels of the photo */
  readonly at: PicturePoint;
  /** share of the picture it takes */
  readonly share: number;
}

/**
 * Finds what may be a card in a photo: one colour all over, four straight sides, beside the cup. The lightest first; of those
 * that are as light, the largest.
 */
export function foundCards(picture: Picture, cup: CupHandles | null): readonly FoundCard[] {
  const small = finePicture(picture);
  const { width, height, times } = small;
  const edge = Math.max(EDGE, OVER_GRAIN * small.grain);
  const even = new Mask(width, height);
  const across = (x: number, y: number, right: number, down: number) =>
    apartAt(small, x - right, y - down, x + 2 * right, y + 2 * down);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) even.setPixel(x, y, across(x, y, 1, 0) < edge && across(x, y, 0, 1) < edge ? [1] : [0]);
  const outline =
    cup &&
    [cup.rimLeft, cup.rimRight, cup.footRight, cup.footLeft, cup.rimLeft].map(([x, y]): [number, number] => [
      x / times,
      y / times,
    ]);
  const all = width * height;
  const cards = fromMask(even)
    .getRois({ minSurface: Math.ceil(SIZE.least * all), maxSurface: Math.floor(SIZE.most * all) })
    .flatMap((roi) => {
      const { origin, surface, mbr } = roi;
      const atBorder =
        origin.column <= 1 || origin.row <= 1 || origin.column + roi.width >= width - 2 || origin.row + roi.height >= height - 2;
      const [short, long] = [Math.min(mbr.width, mbr.height), Math.max(mbr.width, mbr.height)];
      if (atBorder || long > LONGEST * short || surface < WHOLE * mbr.surface || roi.filledSurface < SQUARE * mbr.surface)
        return [];
      const middle: PicturePoint = [origin.column + roi.width / 2, origin.row + roi.height / 2];
      if (outline && inPolygon([outline], middle[0], middle[1])) return [];
      const at: PicturePoint = [middle[0] * times, middle[1] * times];
      const [light] = labOfLinearRgb(linearRgbOfHex(cardSeen(picture, at)));
      return [{ at, share: surface / all, light }];
    });
  const lightest = Math.max(...cards.map(({ light }) => light));
  const rank = ({ light }: (typeof cards)[number]) => (light >= FAR_DARKER * lightest ? 1 : 0);
  return cards.sort((one, other) => rank(other) - rank(one) || other.share - one.share).map(({ at, share }) => ({ at, share }));
}
