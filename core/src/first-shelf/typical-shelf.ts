import { typicalFlake } from '../glitter';
import { glueWayFacts, glueWays, startingItem, type GlueWay, type ShelfItem } from '../stock';

const paints: readonly (readonly [name: string, colour: string])[] = [
  ['White', '#f5f3ee'],
  ['Black', '#1c1b1e'],
  ['Grey', '#7d8086'],
  ['Brown', '#6b4429'],
  ['Red', '#b3262b'],
  ['Orange', '#d9692a'],
  ['Yellow', '#e3b735'],
  ['Green', '#2f7a48'],
  ['Teal', '#1f7378'],
  ['Blue', '#2a4f96'],
  ['Purple', '#5d3a86'],
  ['Pink', '#d07a9b'],
];

const glitters: readonly (readonly [name: string, colour: string])[] = [
  ['Gold', '#d2a33c'],
  ['Silver', '#b9bcc2'],
  ['Copper', '#b96a3c'],
  ['Red', '#b0232f'],
  ['Green', '#23804f'],
  ['Teal', '#157f86'],
  ['Blue', '#2459a8'],
  ['Purple', '#6a3795'],
  ['Pink', '#d3679a'],
  ['Black', '#26262b'],
];
/** The cuts makers ask for by name, mm. */
const cuts = [
  ['fine', 0.2],
  ['medium', 0.4],
  ['chunky', 1],
] as const;

const dyes: readonly (readonly [name: string, colour: string])[] = [
  ['Blue dye', '#2f7fd0'],
  ['Red dye', '#c2352a'],
  ['Yellow dye', '#dcae2c'],
  ['Green dye', '#3f9150'],
  ['Purple dye', '#6a46a0'],
];
const pearls: readonly (readonly [name: string, colour: string])[] = [
  ['Silver pearl', '#c9c9c6'],
  ['Gold pearl', '#cdb37a'],
  ['Copper pearl', '#bd8563'],
];

/** minutes a thin coat of each way takes to dry, and those it takes glitter for */
const glueTimes: Readonly<Record<GlueWay, { readonly dry: number; readonly open: [number, number] | null }>> = {
  'resin wipe': { dry: 480, open: [30, 40] },
  'tacky coat': { dry: 60, open: null },
  'brush-on': { dry: 60, open: [3, 5] },
  'spray adhesive': { dry: 30, open: [2, 5] },
  'clear spray': { dry: 20, open: [1, 2] },
  tape: { dry: 5, open: null },
  drawn: { dry: 60, open: [5, 10] },
};

/**
 * Materials to begin with on an empty shelf: of every kind a cup needs, in plain colours, with the values usual for
 * their kind. They belong to no maker and no shop; each wears its mark until it is made the maker's own.
 * @param newId a fresh id for each
 */
export function typicalShelf(newId: () => string): readonly ShelfItem[] {
  const begun = (group: Parameters<typeof startingItem>[0], name: string) => ({
    ...startingItem(group, newId()),
    name,
    typical: true as const,
  });
  const resins = [
    { ...begun('resin', 'Slow resin 1:1'), ratio: [1, 1], potLife: 25, tackFrom: 180, tackUntil: 420, sandAfter: 480 },
    { ...begun('resin', 'Quick resin 2:1'), ratio: [2, 1], potLife: 12, tackFrom: 60, tackUntil: 150, sandAfter: 240 },
  ];
  const glues = glueWays.map((way) => ({
    ...begun('glue', glueWayFacts[way].title),
    way,
    hold: glueWayFacts[way].hold,
    open: glueTimes[way].open,
    dryMinutes: glueTimes[way].dry,
  }));
  const flakes = cuts.flatMap(([word, cut]) =>
    glitters.map(([name, colour]) => ({
      ...begun('glitter', `${name}, ${word}`),
      flake: { colour, kind: 'solid', opacity: 1, cut, ...typicalFlake(cut) },
    })),
  );
  return [
    ...flakes,
    ...paints.map(([name, colour]) => ({ ...begun('paint', name), colour })),
    ...dyes.map(([name, colour]) => ({ ...begun('ink', name), colour })),
    { ...begun('ink', 'White pigment'), type: 'pigment', colour: '#f7f4ee', hiding: 0.9, referenceLoad: 2 },
    ...pearls.map(([name, colour]) => ({ ...begun('pearl', name), colour })),
    ...resins,
    ...glues,
  ] as readonly ShelfItem[];
}
