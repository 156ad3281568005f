import * as z from 'zod';
import { stationSchema, type Station } from './station';
import { circumferenceAt } from './wall';

export const cupShapes = ['straight', 'tapered', 'two-part', 'curved'] as const;
export type CupShape = (typeof cupShapes)[number];

export const cupMaterials = ['steel', 'glass', 'acrylic'] as const;
export type CupMaterial = (typeof cupMaterials)[number];

const shapeRules = z.object({ shape: z.enum(cupShapes), stations: z.array(stationSchema), lipStrip: z.number() });

/** A cup as measured. Heights from the foot, all lengths mm, `volume` the maker's nominal ml. */
export const cupSchema = z
  .strictObject({
    name: z.string().trim().min(1, 'Give the cup a name.').max(80, 'Keep the cup’s name under 80 letters.'),
    shape: z.enum(cupShapes, { error: 'A cup is straight, tapered, two-part or curved.' }),
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
  })
  .check((context) => {
    // The geometry only means something once every reading is a sound number.
    const parsed = shapeRules.safeParse(context.value);
    if (!parsed.success) return;
    for (const fault of stationFaults(parsed.data)) {
      context.issues.push({ code: 'custom', input: context.value, path: [...fault.path], message: fault.sentence });
    }
  });
export type Cup = z.infer<typeof cupSchema>;

interface CupFault {
  readonly path: readonly (string | number)[];
  readonly sentence: string;
}

/** What looks wrong with the readings as a whole, each named by the reading that does. */
function stationFaults(cup: Pick<Cup, 'shape' | 'stations' | 'lipStrip'>): readonly CupFault[] {
  const { stations } = cup;
  const faults: CupFault[] = [];
  const at = (index: number, field: keyof Station, sentence: string) =>
    faults.push({ path: ['stations', index, field], sentence });
  if (stations.length < 2) return faults;
  if (stations[0].height !== 0) at(0, 'height', 'The first measurement is at the foot: height 0.');
  stations.slice(1).forEach((upper, index) => {
    const lower = stations[index];
    const rise = upper.height - lower.height;
    if (rise <= 0) {
      at(index + 1, 'height', `Heights go upwards: this must be above ${lower.height} mm.`);
    } else if (Math.abs(upper.circumference - lower.circumference) / rise > 2 * Math.PI * 3) {
      at(index + 1, 'circumference', 'The wall would lean out flatter than a saucer here. Check this reading.');
    }
  });
  const tape = stations.map((station) => station.circumference);
  const spread = Math.max(...tape) - Math.min(...tape);
  if (cup.shape === 'straight' && spread > 2) {
    at(
      tape.length - 1,
      'circumference',
      `A straight cup has one circumference; these differ by ${spread.toFixed(1)} mm. Choose another shape.`,
    );
  }
  if (cup.shape === 'two-part' && stations.length < 3) {
    faults.push({ path: ['stations'], sentence: 'A two-part cup needs a third measurement, at the bend.' });
  }
  const height = stations[stations.length - 1].height;
  if (height > 0 && height < 20) at(stations.length - 1, 'height', 'A cup is at least 20 mm tall.');
  if (cup.lipStrip >= height && height > 0) {
    faults.push({ path: ['lipStrip'], sentence: 'The bare strip under the lip is as tall as the cup.' });
  }
  return faults;
}

export const heightOf = (cup: Pick<Cup, 'stations'>): number => cup.stations[cup.stations.length - 1].height;

/** Where coats end, mm above the foot. */
export const coatedHeight = (cup: Cup): number => heightOf(cup) - cup.lipStrip;

/** The readings a maker takes for a shape, lowest first: what to call each, and where to lay the tape. */
export function measuringSheet(shape: CupShape, count: number): readonly string[] {
  const middle = Math.max(0, count - 2);
  const between = shape === 'two-part' ? 'at the bend' : 'between';
  return [
    'at the foot',
    ...Array.from({ length: middle }, (_, i) => (middle > 1 ? `${between} ${i + 1}` : between)),
    'at the rim',
  ];
}

/**
 * Stations with one more measurement, put in the tallest gap, where the tape would read what the
 * straight wall gives: adding a row never changes the cup until it is measured.
 */
export function withAnotherStation(stations: readonly Station[]): readonly Station[] {
  let widest = 1;
  for (let index = 2; index < stations.length; index += 1) {
    if (stations[index].height - stations[index - 1].height > stations[widest].height - stations[widest - 1].height)
      widest = index;
  }
  const height = Math.round((stations[widest].height + stations[widest - 1].height) / 2);
  const circumference = Math.round(circumferenceAt(stations, height) * 10) / 10;
  return [...stations.slice(0, widest), { height, circumference }, ...stations.slice(widest)];
}

/** The bare wall, as the eye sees it before any coat. Glass and acrylic: seen against a light bench. */
export const bareWallColour = {
  steel: '#b9bcc0',
  glass: '#e8ece9',
  acrylic: '#eef0f1',
} as const satisfies Record<CupMaterial, string>;

/** The stations that a shape is measured by, kept as far as they serve. */
export function stationsForShape(stations: readonly Station[], shape: CupShape): readonly Station[] {
  const ends = [stations[0], stations[stations.length - 1]];
  switch (shape) {
    case 'straight':
      return ends.map((station) => ({ ...station, circumference: ends[1].circumference }));
    case 'tapered':
      return ends;
    case 'two-part':
    case 'curved':
      return stations.length > 2 ? stations : withAnotherStation(stations);
  }
}

/** One reading typed anew. A straight cup has one circumference, so it goes to all. */
export function withReading(cup: Cup, index: number, reading: Partial<Station>): Cup {
  const everywhere = cup.shape === 'straight' && reading.circumference !== undefined;
  const stations = cup.stations.map((station, at) =>
    at === index
      ? { ...station, ...reading }
      : everywhere
        ? { ...station, circumference: reading.circumference ?? station.circumference }
        : station,
  );
  return { ...cup, stations };
}

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
};
