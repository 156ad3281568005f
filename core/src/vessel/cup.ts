import * as z from 'zod';
import { cupKinds, cupMaterials, cupShapes, type CupMaterial } from './cup-kind';
import { readingFaults } from './reading-faults';
import { stationSchema, type Station } from './station';
import { baseArea } from './wall';

const mm = (least: number, most: number, sentence: string) => z.number(sentence).min(least, sentence).max(most, sentence);

/** Where a handle sits: its patch on the wall stays bare, its own outside can be decorated. mm, degrees from the seam. */
const handleSchema = z.strictObject({
  angle: z.number().min(0, 'An angle is 0 to 360°, from the seam.').max(360, 'An angle is 0 to 360°, from the seam.'),
  width: mm(2, 200, 'The patch under a handle is 2 to 200 mm wide.'),
  from: mm(0, 600, 'Give the height in mm above the foot.'),
  to: mm(0, 600, 'Give the height in mm above the foot.'),
  /** tape along the handle's outside, and round it */
  length: mm(5, 800, 'Lay the tape along the handle: 5 to 800 mm.'),
  girth: mm(5, 300, 'Lay the tape round the handle: 5 to 300 mm.'),
});

const recessSchema = z.strictObject({
  depth: mm(0.5, 60, 'A recess under the cup is 0.5 to 60 mm deep.'),
  diameter: mm(10, 250, 'Give the recess’s diameter in mm.'),
});

const measuredSchema = z.object({
  shape: z.enum(cupShapes),
  stations: z.array(stationSchema),
  lipStrip: z.number(),
  recess: recessSchema.nullable().default(null),
  handle: handleSchema.nullable().default(null),
});

/** A cup as measured. Heights from the foot, all lengths mm, `volume` the maker's nominal ml. */
export const cupSchema = z
  .strictObject({
    name: z.string().trim().min(1, 'Give the cup a name.').max(80, 'Keep the cup’s name under 80 letters.'),
    shape: z.enum(cupShapes, { error: `A cup is one of: ${cupShapes.join(', ')}.` }),
    material: z.enum(cupMaterials, { error: 'A cup is steel, glass or acrylic.' }),
    stations: z
      .array(stationSchema)
      .min(2, 'Measure at least two heights: at the foot and at the rim.')
      .max(6, 'Six tape measurements are enough for any cup.'),
    lipStrip: z
      .number()
      .min(0, 'The bare strip under the lip can’t be negative.')
      .max(60, 'A bare strip of over 60 mm leaves no cup to coat.'),
    volume: z.number().min(10, 'A cup holds at least 10 ml.').max(5000, 'A cup holds at most 5000 ml.').nullable(),
    recess: recessSchema.nullable().default(null),
    handle: handleSchema.nullable().default(null),
    /** what marks the seam on this cup, in the maker's words */
    seam: z.string().trim().max(60, 'Keep what marks the seam under 60 letters.').default(''),
    /** readings taken from the library, not yet off the maker's own cup */
    typical: z.boolean().default(false),
  })
  .check((context) => {
    // The geometry only means something once every reading is a sound number.
    const parsed = measuredSchema.safeParse(context.value);
    if (!parsed.success) return;
    for (const fault of readingFaults(parsed.data)) {
      context.issues.push({ code: 'custom', input: context.value, path: [...fault.path], message: fault.sentence });
    }
  });
export type Cup = z.infer<typeof cupSchema>;
export type Handle = z.infer<typeof handleSchema>;

export const heightOf = (cup: { readonly stations: readonly Station[] }): number => cup.stations[cup.stations.length - 1].height;

/** Where coats end, mm above the foot. */
export const coatedHeight = (cup: Cup): number => heightOf(cup) - cup.lipStrip;

/** The disc under this cup, cm²; a sleeve has none. */
export const undersideArea = (cup: Cup): number => (cupKinds[cup.shape].underside ? baseArea(cup.stations) : 0);

/** The handle's own outside, cm²; 0 without one. */
export const gripArea = (cup: Cup): number => (cup.handle ? (cup.handle.length * cup.handle.girth) / 100 : 0);

/** The bare wall, as the eye sees it before any coat. Glass and acrylic: seen against a light bench. */
export const bareWallColour = {
  steel: '#b9bcc0',
  glass: '#e8ece9',
  acrylic: '#eef0f1',
} as const satisfies Record<CupMaterial, string>;

/** Degrees from the seam where one looks first: opposite it, unless a handle is there. */
export const frontAngle = ({ handle }: Pick<Cup, 'handle'>): number => (handle ? (handle.angle + 90) % 360 : 180);

/** What a measuring sheet starts a new handle from: opposite the seam, over the middle of the wall. */
export const startingHandle = (cup: Cup): Handle => ({
  angle: 180,
  width: 16,
  from: Math.round(heightOf(cup) * 0.2),
  to: Math.round(heightOf(cup) * 0.8),
  length: Math.round(heightOf(cup) * 0.9),
  girth: 40,
});

/** A common tapered cup, to start measuring from. */
export const startingCup: Cup = {
  name: 'New cup',
  shape: 'tapered',
  material: 'steel',
  stations: [
    { height: 0, circumference: 220 },
    { height: 200, circumference: 285 },
  ],
  lipStrip: 10,
  volume: null,
  recess: null,
  handle: null,
  seam: '',
  typical: false,
};
