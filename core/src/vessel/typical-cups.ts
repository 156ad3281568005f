import type { Cup } from './cup';
import type { CupMaterial, CupShape } from './cup-kind';
import type { Station } from './station';

/** Heights and circumferences as pairs, mm. */
type Readings = readonly (readonly [height: number, circumference: number])[];

function typical(shape: CupShape, volume: number, readings: Readings, more: Partial<Cup> = {}): Cup {
  const stations: Station[] = readings.map(([height, circumference]) => ({ height, circumference }));
  const material: CupMaterial = more.material ?? 'steel';
  return {
    name: `${nouns[shape]} ${volume} ml`,
    shape,
    lipStrip: 10,
    volume,
    recess: null,
    handle: null,
    seam: '',
    typical: true,
    ...more,
    material,
    stations,
  };
}

const nouns: Record<CupShape, string> = {
  straight: 'Straight',
  tapered: 'Tapered',
  'two-part': 'Narrow foot',
  curved: 'Plump',
  stemmed: 'Stemmed glass',
  mug: 'Handled',
  sleeve: 'Can sleeve',
};

/**
 * Cups of no maker in particular, by what they hold: a start for planning before the cup is in the
 * house. Made up so that the readings enclose the volume and an insulated wall; to be measured.
 */
export const typicalCups: readonly Cup[] = [
  typical('straight', 300, [
    [0, 214],
    [128, 214],
  ]),
  typical('straight', 450, [
    [0, 226],
    [160, 226],
  ]),
  typical('straight', 600, [
    [0, 238],
    [186, 238],
  ]),
  typical('tapered', 350, [
    [0, 196],
    [128, 262],
  ]),
  typical('tapered', 600, [
    [0, 212],
    [176, 278],
  ]),
  typical('tapered', 900, [
    [0, 224],
    [206, 294],
  ]),
  typical(
    'two-part',
    700,
    [
      [0, 222],
      [72, 226],
      [86, 288],
      [206, 312],
    ],
    { recess: { depth: 3, diameter: 58 } },
  ),
  typical(
    'two-part',
    1200,
    [
      [0, 234],
      [80, 238],
      [96, 318],
      [264, 342],
    ],
    { recess: { depth: 3, diameter: 62 } },
  ),
  typical(
    'curved',
    350,
    [
      [0, 168],
      [28, 224],
      [62, 266],
      [92, 262],
      [116, 236],
    ],
    { lipStrip: 8 },
  ),
  typical(
    'curved',
    550,
    [
      [0, 208],
      [30, 276],
      [74, 300],
      [110, 290],
      [138, 268],
    ],
    { lipStrip: 8 },
  ),
  typical(
    'stemmed',
    400,
    [
      [0, 232],
      [8, 34],
      [84, 30],
      [128, 282],
      [208, 204],
    ],
    { material: 'glass', lipStrip: 20 },
  ),
  typical(
    'mug',
    120,
    [
      [0, 152],
      [66, 176],
    ],
    {
      lipStrip: 8,
      handle: { angle: 180, width: 12, from: 14, to: 54, length: 68, girth: 34 },
    },
  ),
  typical(
    'mug',
    350,
    [
      [0, 236],
      [100, 262],
    ],
    {
      handle: { angle: 180, width: 16, from: 20, to: 82, length: 104, girth: 42 },
    },
  ),
  typical(
    'sleeve',
    330,
    [
      [0, 232],
      [112, 232],
    ],
    { lipStrip: 6 },
  ),
];
