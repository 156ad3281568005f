import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  amountLines,
  cardOf,
  cardText,
  cupDrawing,
  designFileOf,
  designJsonSchema,
  planOf,
  readDesignFile,
  type Area,
} from '../src';
import { makeJsonSchema } from '../src/make';
import { coat, demoFile, demoNames, demoText, designWith, workshop } from './workshop';

const faultsOfText = (text: string) => {
  const read = readDesignFile(text);
  return read.ok ? [] : read.faults;
};
const broken = (change: (file: ReturnType<typeof demoFile>) => unknown) =>
  faultsOfText(JSON.stringify(change(structuredClone(demoFile('copper-eaves')))));

const upperLevel = (area: Area): object => (area.kind === 'band' ? area.upper.level : {});

describe('a design file', () => {
  test.each(demoNames)('%s comes back as it was written', (name) => {
    const { design, shelf, settings } = demoFile(name);
    const written = JSON.stringify(designFileOf(design, { shelf, settings }));
    const read = readDesignFile(written);
    expect(read).toEqual({ ok: true, file: JSON.parse(demoText(name)) });
  });
  test('takes along only the jars it names', () => {
    const file = designFileOf(designWith([coat.base, coat.wipe]), workshop);
    expect(file.shelf.map((item) => item.id).sort()).toEqual([
      'brick-red',
      'lamp-oil',
      'penny-rain',
      'resin-wipe',
      'rust-road',
      'slow-1-1',
    ]);
  });
  test('a byte-order mark is no fault', () => expect(faultsOfText(`\uFEFF${demoText('peat-fire')}`)).toEqual([]));
});

describe('each fault has a path and a sentence', () => {
  test.each<[string, readonly { path: string; sentence: string }[], string, RegExp]>([
    ['no JSON', faultsOfText('equal parts, more or less'), '(whole file)', /isn’t JSON/],
    ['nothing', faultsOfText(''), '(whole file)', /isn’t JSON/],
    ['another format', broken((file) => ({ ...file, format: 'cup' })), 'format', /no design of Aurantia/],
    ['another version', broken((file) => ({ ...file, version: 9 })), 'version', /another version/],
    ['an unknown field', broken((file) => ({ ...file, extra: 1 })), '(whole file)', /“extra”/],
    [
      'an unknown jar',
      broken((file) => ({ ...file, shelf: file.shelf.filter((item) => item.id !== 'rust-road') })),
      'design.blends[2].parts[0].item',
      /“rust-road”/,
    ],
    [
      'an unknown resin',
      broken((file) => ({ ...file, shelf: file.shelf.filter((item) => item.kind !== 'resin') })),
      'design.coats[8].resin',
      /No resin/,
    ],
    [
      'a missing cup',
      broken(({ design, ...file }) => ({ ...file, design: { ...design, cup: undefined } })),
      'design.cup',
      /missing/,
    ],
    [
      'an area off the cup',
      broken((file) => (Object.assign(upperLevel(file.design.areas[2]), { by: 'foot', mm: 300 }), file)),
      'design.areas[2].upper.level',
      /ends at 205 mm/,
    ],
    [
      'an area upside down',
      broken((file) => (Object.assign(upperLevel(file.design.areas[1]), { mm: 10 }), file)),
      'design.areas[1].upper.level',
      /must end above/,
    ],
    [
      'a blend of nothing',
      broken((file) => (Object.assign(file.design.blends[0], { parts: [] }), file)),
      'design.blends[0].parts',
      /blend of nothing/,
    ],
    [
      'a negative pour',
      broken((file) => (Object.assign(file.design.blends[0].parts[0], { ml: -2 }), file)),
      'design.blends[0].parts[0].ml',
      /above zero/,
    ],
    [
      'a huge pour',
      broken((file) => (Object.assign(file.design.blends[0].parts[0], { ml: 1e6 }), file)),
      'design.blends[0].parts[0].ml',
      /500 ml/,
    ],
    [
      'a word for a number',
      broken((file) => (Object.assign(file.design.blends[0].parts[0], { ml: 'some' }), file)),
      'design.blends[0].parts[0].ml',
      /amount in ml/,
    ],
    [
      'a glitter twice',
      broken((file) => (file.design.blends[0].parts.push(file.design.blends[0].parts[0]), file)),
      'design.blends[0].parts',
      /twice/,
    ],
    [
      'a coat on no area',
      broken((file) => (Object.assign(file.design.coats[3], { on: ['nowhere'] }), file)),
      'design.coats[3].on',
      /no area of the design/,
    ],
    [
      'a coat of no kind',
      broken((file) => (Object.assign(file.design.coats[3], { kind: 'magic' }), file)),
      'design.coats[3].kind',
      /A coat is one of/,
    ],
    [
      'two areas with one id',
      broken((file) => (Object.assign(file.design.areas[1], { id: 'foot' }), file)),
      'design.areas[1].id',
      /Two areas/,
    ],
  ])('%s', (_, faults, path, sentence) =>
    expect(faults).toEqual(expect.arrayContaining([{ path, sentence: expect.stringMatching(sentence) }])),
  );
});

describe('the card', () => {
  const { design, shelf, settings } = demoFile('copper-eaves');
  const plan = planOf(design, { shelf, settings });
  const card = cardOf(plan, design, settings);

  test('says every amount of the plan in the maker’s units', () => {
    const inches = { ...settings.units, length: 'inch' as const, amount: 'gram' as const };
    const first = plan.coats[8];
    expect(amountLines(first, settings.units, [])).toEqual([
      '537.8 cm² at 0.45 mm',
      'Slow 1:1: A 19.5 ml (21.5 g) + B 19.5 ml (19.5 g) = 39.0 ml',
      expect.stringMatching(/^10\.\d ml of it sinks into the glitter$/),
    ]);
    expect(amountLines(first, inches, [])[1]).toMatch(/^Slow 1:1: A 21\.[45] g \+ B 19\.5 g = 4[01]\.\d g$/);
    expect(cardOf(plan, design, { ...settings, units: inches }).areas[0].where).toBe('band, 0.00–2.44 in up');
  });
  test('shows beside a coat what is seen once it is on, and nothing beside one that changes nothing', () => {
    const bare = plan.places.map(() => plan.bareWall);
    const seen = card.coats.map((one) => one.seen);
    expect(seen.filter((colours) => colours.length > 0).at(-1)).toEqual(plan.places.map(({ id }) => plan.finished[id]));
    let before: readonly string[] = bare;
    plan.coats.forEach((coat, at) => {
      const now = plan.places.map(({ id }) => coat.seen[id]);
      expect(seen[at]).toEqual(JSON.stringify(now) === JSON.stringify(before) ? [] : now);
      before = now;
    });
    expect(seen[0]).toEqual([]);
  });
  test('says a caution once and points back at coats that repeat', () => {
    const cautions = card.coats.flatMap((one) => one.cautions);
    expect(new Set(cautions).size).toBe(cautions.length);
    expect(card.coats[5].does).toBe('As coat 3.');
  });
  test('as text, holds areas, coats in order, totals and care', () => {
    const text = cardText(card);
    for (const line of ['COPPER EAVES', '  1. Scuff and degrease', ' 14. Rest until cured through', 'IN ALL', 'CARE'])
      expect(text).toContain(line);
    expect(Math.max(...text.split('\n').map((line) => line.length))).toBeLessThanOrEqual(110);
    expect(text).not.toMatch(/NaN|undefined|null/);
  });
  test('has the cup drawn in its finished colours', () => {
    const svg = cupDrawing(plan, design.cup);
    for (const area of plan.areas.areas.filter((one) => one.kind === 'band'))
      expect(svg).toContain(`fill="${plan.finished[area.id]}"`);
    expect(svg).not.toMatch(/NaN|undefined/);
  });
});

test('the published schema is the one the program reads by', () => {
  const published = (name: string): unknown =>
    JSON.parse(readFileSync(join(import.meta.dirname, '..', '..', 'docs', `${name}.schema.json`), 'utf8'));
  expect(published('design')).toEqual(JSON.parse(JSON.stringify(designJsonSchema())));
  expect(published('make')).toEqual(JSON.parse(JSON.stringify(makeJsonSchema())));
});
