export const cupShapes = ['straight', 'tapered', 'two-part', 'curved', 'stemmed', 'mug', 'sleeve'] as const;
export type CupShape = (typeof cupShapes)[number];

export const cupMaterials = ['steel', 'glass', 'acrylic'] as const;
export type CupMaterial = (typeof cupMaterials)[number];

/** What a kind of cup is called, how its readings are taken, and how many of them there may be. */
export interface CupKind {
  readonly name: string;
  readonly hint: string;
  /** names of the readings from the foot up; one that ends in … may be taken several times */
  readonly readings: readonly string[];
  /** what to do for each reading, in the same order */
  readonly tape: readonly string[];
  readonly least: number;
  readonly most: number;
  /** whether the foot is closed, so that there is an underside to coat */
  readonly underside: boolean;
}

const FOOT = 'Lay the tape round the very foot, level all the way, without pulling it tight.';
const RIM = 'Lay the tape round the wall just under the rim, below any rolled lip.';

export const cupKinds = {
  straight: {
    name: 'Straight',
    hint: 'One tape reading and the height.',
    readings: ['at the foot', 'at the rim'],
    tape: [FOOT, RIM],
    least: 2,
    most: 2,
    underside: true,
  },
  tapered: {
    name: 'Tapered',
    hint: 'Lay the tape round the foot and round the rim.',
    readings: ['at the foot', 'at the rim'],
    tape: [FOOT, RIM],
    least: 2,
    most: 2,
    underside: true,
  },
  'two-part': {
    name: 'Narrow foot',
    hint: 'Foot, the bend where the wall changes, and rim.',
    readings: ['at the foot', 'at the bend…', 'at the rim'],
    tape: [FOOT, 'Find the bend with a ruler held along the wall: lay the tape where light first shows under the ruler.', RIM],
    least: 3,
    most: 6,
    underside: true,
  },
  curved: {
    name: 'Plump',
    hint: 'Foot, rim, and up to four readings between; put them where the wall bends most.',
    readings: ['at the foot', 'between…', 'at the rim'],
    tape: [FOOT, 'Lay the tape where the wall bends most; the widest place is always worth one.', RIM],
    least: 3,
    most: 6,
    underside: true,
  },
  stemmed: {
    name: 'Stemmed glass',
    hint: 'The edge of the foot, the stem below and above, the belly of the bowl, and the rim.',
    readings: ['at the edge of the foot', 'at the stem, below', 'at the stem, above', 'at the belly…', 'at the rim'],
    tape: [
      'Stand the glass on paper and lay the tape round the edge of its foot.',
      'Wind a thread round the stem where the foot has become stem, and lay it along a ruler.',
      'The same thread where the stem opens into the bowl.',
      'Lay the tape round the widest place of the bowl.',
      'Lay the tape round the bowl just under the rim.',
    ],
    least: 5,
    most: 6,
    underside: true,
  },
  mug: {
    name: 'Small, with a handle',
    hint: 'Foot and rim; pass the tape between handle and wall. The handle’s patch stays bare.',
    readings: ['at the foot', 'between…', 'at the rim'],
    tape: [
      FOOT,
      'Pass the tape between the handle and the wall; where it can’t pass, measure twice the open half.',
      'Lay the tape round the wall just under the rim, over the handle’s top joint if it sits there.',
    ],
    least: 2,
    most: 6,
    underside: true,
  },
  sleeve: {
    name: 'Can sleeve',
    hint: 'Open at both ends: one reading at each end, no underside.',
    readings: ['at the lower end', 'at the upper end'],
    tape: ['Lay the tape round the lower end, can taken out.', 'Lay the tape round the upper end, just under its edge.'],
    least: 2,
    most: 2,
    underside: false,
  },
} as const satisfies Record<CupShape, CupKind>;
