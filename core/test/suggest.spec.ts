import fc from 'fast-check';
import {
  designSchema,
  planOf,
  suggestedDesign,
  suggestedOtherwise,
  withFix,
  type CoatId,
  type Design,
  type Workshop,
} from '../src';
import { anyDesign, anyWorkshop } from './any-design';
import { coat, demoFile, designWith, workshop } from './workshop';

let made = 0;
const newId = () => `new-${(made += 1)}`;
const kinds = (design: Design) => design.coats.map(({ kind }) => kind);
const schooled = (schools: object): Design => ({ ...designWith([]), schools });
const suggested = (schools: object = {}, over: Workshop = workshop) => suggestedDesign(schooled(schools), over, newId);

/** What no order of coats can settle: the room, the shelf, the areas, the amounts and the fades themselves. */
const beyond = [
  'room',
  'not enough in stock',
  'opened resin past its date',
  'no longer on the shelf',
  'thin cover',
  'coats above the lip strip',
  'motifs that fit',
  'motifs without room',
  'area covered',
  'motif that shows',
  'area under others',
  'too cold or too damp',
  'mix that goes off too soon',
  // of a mix on what is kept free, and of a design with no mix at all
  'blend not poured',
  'nothing to pour',
];

test('a suggested plan has nothing to stop or look at that coats could settle, for any areas, mixes, cups, rooms and schools', () => {
  const seen = new Set<string>();
  fc.assert(
    fc.property(anyDesign, anyWorkshop, (drawn, over) => {
      const design = suggestedDesign({ ...drawn, coats: [] }, over, newId);
      const grave = planOf(design, over).findings.filter(
        ({ level, fix }) => level !== 'tip' && fix !== null && fix.does !== 'pour',
      );
      expect(grave.map(({ rule, says }) => `${rule}: ${says}`)).toEqual([]);
      for (const { rule, level } of planOf(design, over).findings) if (level !== 'tip') seen.add(rule);
    }),
    { numRuns: 60 },
  );
  expect([...seen].filter((rule) => !beyond.includes(rule)).sort()).toEqual([]);
});

test('on a shelf without paint, glue or resin it is an order of work that can be kept', () => {
  for (const without of [['paint'], ['glue'], ['resin'], ['paint', 'glue', 'resin', 'glitter', 'ink', 'film']]) {
    const over = { ...workshop, shelf: workshop.shelf.filter(({ kind }) => !without.includes(kind)) };
    const design = suggestedDesign(designWith([]), over, newId);
    expect(designSchema.safeParse(design).success).toBe(true);
    expect(kinds(design)).toContain('rest');
  }
});

describe('the schools are followed', () => {
  test('what lies under the glitter', () => {
    const paints = (schools: object) =>
      suggested(schools).coats.flatMap((one) => (one.kind === 'base' ? [one.paint as string] : []));
    expect(paints({ ground: 'white' })).toEqual(['limewash']);
    expect(paints({ ground: 'bare' })).toEqual([]);
    expect(paints({}).length).toBeGreaterThan(0);
    expect(kinds(suggested({ painting: 'pearl in glue' }))).toContain('pearl');
    expect(suggested({ painting: 'brushed' }).coats).toContainEqual(expect.objectContaining({ kind: 'base', way: 'brushed' }));
  });
  test('sealing, first coats and what is done between coats', () => {
    expect(kinds(suggested({ sealing: 'always' }))).toContain('seal');
    expect(kinds(suggested({ sealing: 'never' }))).not.toContain('seal');
    const films = (schools: object) => kinds(suggested(schools)).filter((kind) => kind === 'resin').length;
    expect(films({ firstCoat: 'two thin' })).toBe(films({}) + 1);
    expect(kinds(suggested({ betweenCoats: 'sand' }))).toContain('sand');
    expect(kinds(suggested({ betweenCoats: 'tack' }))).not.toContain('sand');
  });
  test('glue suits the flakes: coarse ones and fades on a wipe, fine holographic ones alone on a tacky coat', () => {
    const one = (item: string) =>
      suggestedDesign(designWith([], { blends: [{ area: 'low', parts: [{ item, ml: 6 }] }] }), workshop, newId).coats.flatMap(
        (given) => (given.kind === 'glue' ? [given.glue as string] : []),
      );
    const jar = (more: (flake: { cut: number }, finish: string) => boolean) =>
      workshop.shelf.flatMap((item) => (item.kind === 'glitter' && more(item.flake, item.finish) ? [item.id] : []))[0];
    expect(one(jar(({ cut }) => cut >= 0.8))).toContain('resin-wipe');
    expect(one(jar(({ cut }, finish) => cut < 0.8 && finish === 'holographic'))).toContain('tacky-coat');
  });
  test('glue and glitter are laid again where one pass leaves much of another colour bare', () => {
    const design = { ...designWith([]), schools: { ground: 'white' as const } };
    const sprayed = { ...workshop, shelf: workshop.shelf.filter(({ kind, id }) => kind !== 'glue' || id === 'clear-spray') };
    expect(kinds(suggestedDesign(design, sprayed, newId)).filter((kind) => kind === 'glitter').length).toBeGreaterThan(1);
  });
});

describe('what it would do otherwise', () => {
  const mine = designWith([coat.base, coat.wipe, coat.glitter, coat.ink, coat.resin, { ...coat.resin, thickness: 0.3 }]);
  test('is told coat by coat, and once all is taken there is nothing left to tell', () => {
    let design = mine;
    for (let round = 0; round < 30; round += 1) {
      const [first] = suggestedOtherwise(design, workshop, newId);
      if (!first) break;
      expect(first.says).toMatch(/^(Add|Leave out|Lay) “.*\.$/);
      design = withFix(design, first.fix, workshop, newId() as CoatId);
    }
    expect(suggestedOtherwise(design, workshop, newId)).toEqual([]);
    // What the maker added by hand is no kind that a suggestion lays: it stays.
    expect(kinds(design)).toContain('ink');
  });
  test('isn’t what would break something else, nor less care than was taken', () => {
    const strip = { kind: 'strip', film: 'hearth-foil', width: 3, centre: 90, length: 300 };
    const careful = designWith([
      { kind: 'prep' },
      coat.base,
      coat.wipe,
      coat.glitter,
      coat.press,
      coat.seal,
      coat.resin,
      coat.sand,
      { kind: 'rim' },
      strip,
      coat.seal,
      coat.resin,
      coat.rest,
    ]);
    expect(suggestedOtherwise(careful, workshop, newId).filter(({ says }) => /seal|Rim|Press/.test(says))).toEqual([]);
  });
  test('leaves the base under flakes that let it through as the maker chose it', () => {
    const { design, shelf, settings } = demoFile('orchard-frost');
    expect(suggestedOtherwise(design, { shelf, settings }, newId).filter(({ says }) => says.includes('Base'))).toEqual([]);
  });
  test('is nothing for the suggested plan itself', () => {
    const design = suggested();
    expect(suggestedOtherwise(design, workshop, newId)).toEqual([]);
  });
  test('leaves what the maker set as it is until it is taken', () => {
    const before = JSON.stringify(mine);
    suggestedOtherwise(mine, workshop, newId);
    expect(JSON.stringify(mine)).toBe(before);
  });
});
