import * as z from 'zod';
import { outlineName, outlineSchema, placeMotif, reachOf, scatterPlaces, shapeOf, type ScatteredPlace } from '../motif';
import { randomStream, seedOf } from '../random';
import { edgesCross, inRegion, ontoOneTurn, type Region } from '../regions';
import { rememberEach } from '../remember';
import { lengthText } from '../units';
import {
  coatedHeight,
  footLevel,
  heightAtWallLength,
  heightOf,
  levelAt,
  levelHeight,
  levelSchema,
  stripFit,
  topLevel,
  wallLength,
  type Cup,
} from '../vessel';
import { areaIdSchema, sharedFields } from './area-id';
import { half, heightFigures, levelFaults, type AreaKind } from './area-kind';
import { motifFaults, pointsOf } from './window';

export const MOST_MOTIFS = 2000;

/** Many motifs of one outline, spread by a seed. Lengths mm. */
export const scatterSchema = z.strictObject({
  kind: z.literal('scatter'),
  ...sharedFields,
  outline: outlineSchema,
  width: z.number().min(1, 'A motif is at least 1 mm wide.').max(300, 'A motif is at most 300 mm wide.'),
  count: z
    .int('Motifs come whole.')
    .min(1, 'At least one motif.')
    .max(MOST_MOTIFS, `${MOST_MOTIFS} motifs are the most. For more and smaller ones, use glitter of a coarser cut.`),
  seed: z.int('A seed is a whole number.').min(0, 'A seed is 0 to 999999.').max(999_999, 'A seed is 0 to 999999.'),
  /** kept free between any two, and to the edges of what they are scattered in */
  clearance: z.number().min(0, 'A clearance can’t be negative.').max(100, 'A clearance is at most 100 mm.'),
  /** −1 all towards the foot, 0 even, 1 all towards the rim */
  dense: z.number().min(-1, 'From −1, the foot, to 1, the rim.').max(1, 'From −1, the foot, to 1, the rim.').default(0),
  turn: z.enum(['upright', 'any'], { error: 'Motifs stand upright or turned any way.' }),
  /** scattered only where this area lies; anywhere between the heights when null */
  inside: areaIdSchema.nullable().default(null),
  lower: levelSchema,
  upper: levelSchema,
});
export type Scatter = z.infer<typeof scatterSchema>;

export const scatter: AreaKind<Scatter> = {
  kind: 'scatter',
  name: 'Scatter',
  explains: 'one outline many times, at random but never touching; the same seed gives the same cup for ever',
  single: false,
  start: (cup) => ({
    kind: 'scatter',
    outline: { shape: 'spot' },
    width: half(Math.min(10, coatedHeight(cup) / 16)),
    count: 40,
    seed: 1,
    clearance: 2,
    dense: 0,
    turn: 'upright',
    inside: null,
    lower: footLevel(0),
    upper: topLevel,
  }),
  weight: ({ count, outline }) => count * pointsOf(outline),
  shape: (area, cup, host) => {
    const shape = shapeOf(area.outline);
    const turns = randomStream(seedOf(`turn ${area.seed}`));
    return scatteredPlaces(area, cup, host).flatMap(([angle, height]) =>
      ontoOneTurn(
        placeMotif(shape, { angle, height, width: area.width, turn: area.turn === 'any' ? turns() * 360 : 0 }, cup.stations),
      ),
    );
  },
  faults: (area, cup) => {
    const levels = levelFaults(area.name, area.lower, area.upper, cup, ['lower', 'upper']);
    if (levels.length > 0) return levels;
    const { from, to } = middles(area, cup);
    const fits = motifFaults(area, levelHeight(area.lower, cup), levelHeight(area.upper, cup), cup.stations);
    if (fits.length > 0 || to > from) return fits;
    return [
      {
        field: 'width',
        sentence: `There is no room for “${area.name}” between its edges with this clearance. Make the motifs smaller, or move the edges apart.`,
      },
    ];
  },
  widths: (area) => ({ lower: area.width, upper: area.width }),
  handles: (area, cup) => [
    { key: 'lower', label: `Lower end of ${area.name}`, angle: 180, height: levelHeight(area.lower, cup), goes: 'up' },
    { key: 'upper', label: `Upper end of ${area.name}`, angle: 180, height: levelHeight(area.upper, cup), goes: 'up' },
  ],
  moved: (area, key, { height }, cup) => {
    const side = key === 'lower' ? 'lower' : 'upper';
    return { ...area, [side]: levelAt(height, area[side].by, cup) };
  },
  withLevels: (area, change) => ({ ...area, lower: change(area.lower), upper: change(area.upper) }),
  aside: (area) => ({ ...area, seed: (area.seed + 1) % 1_000_000 }),
  mirrored: () => null,
  squeezed: (area) => area,
  words: (area, laid, units) => {
    const [width, apart] = [lengthText(area.width, units), lengthText(area.clearance, units)];
    const count = laid?.motifs?.placed ?? area.count;
    return `${count} × ${outlineName(area.outline)}, ${width} wide, ${apart} apart, seed ${area.seed}`;
  },
  figures: (area, cup, units) => heightFigures(levelHeight(area.lower, cup), levelHeight(area.upper, cup), units),
};

/** Heights between which the middles may lie, so that every motif keeps clear of both ends. */
function middles(area: Scatter, cup: Cup): { from: number; to: number } {
  const free = reachOf(area.outline) * area.width + area.clearance;
  // Along a leaning wall a mm of height is more than a mm of wall, so this errs on the safe side.
  return {
    from: Math.max(0, levelHeight(area.lower, cup)) + free,
    to: Math.min(heightOf(cup), levelHeight(area.upper, cup)) - free,
  };
}

/** Where the motifs of a scatter lie; fewer than wanted where no more fit. Remembered: it is asked for twice a plan. */
export const scatteredPlaces = rememberEach((area: Scatter, cup: Cup, host: Region | null): readonly ScatteredPlace[] => {
  const reach = reachOf(area.outline) * area.width;
  const free = reach + area.clearance;
  return scatterPlaces({
    stations: cup.stations,
    ...middles(area, cup),
    count: area.count,
    apart: 2 * reach + area.clearance,
    reach,
    dense: area.dense,
    seed: area.seed,
    allows: host === null ? () => true : (angle, height) => clearInside(host, angle, height, free, cup),
  });
}, 2);

/** Whether a motif reaching so many mm lies inside a region, clear of its edges; the seam is no edge. */
function clearInside(host: Region, angle: number, height: number, free: number, cup: Cup): boolean {
  if (!inRegion(host, angle, height)) return false;
  const { stations } = cup;
  const along = wallLength(stations, 0, height);
  const [bottom, top] = [along - free, along + free].map((mm) => heightAtWallLength(stations, Math.max(0, mm)));
  // Laid level by level it goes furthest round where the wall is narrowest.
  const tape = stripFit(stations, Math.max(0, bottom), Math.min(heightOf(cup), top)).shortest;
  const round = (360 * free) / tape;
  const box = { left: angle - round, right: angle + round, bottom, top };
  // A disc over the seam comes in again at the other side.
  const turns = [0, ...(box.left < 0 ? [360] : []), ...(box.right > 360 ? [-360] : [])];
  return turns.every(
    (by) => !host.some((polygon) => edgesCross(polygon, { ...box, left: box.left + by, right: box.right + by }, false)),
  );
}
