import fc from 'fast-check';
import { shelfItemSchema, startingItem, type ShelfItem } from '../src';
import { guessedMapping, itemsOfTable, readShelfTable, shelfColumns, shelfCsv, TableError } from '../src/shelf-table';
import { workshop } from './workshop';

let made = 0;
const newId = () => `new-${(made += 1)}`;
const read = (text: string, shelf: readonly ShelfItem[] = []) => {
  const table = readShelfTable(text);
  return itemsOfTable(table, guessedMapping(table.headings), shelf, newId);
};

test('the whole shelf written and read again is the same', () => {
  const { items, faults } = read(shelfCsv(workshop.shelf), workshop.shelf);
  expect(faults).toEqual([]);
  expect(items.map(({ item }) => item)).toEqual(workshop.shelf);
  expect(items.every(({ known }) => known !== null)).toBe(true);
});

test('any glitter survives the table, whatever its name', () => {
  const words = fc
    .string({ minLength: 1, maxLength: 30, unit: 'grapheme' })
    .map((text) => text.trim())
    .filter((text) => text !== '' && !text.includes('\u0000') && !text.startsWith("'"));
  const jar = fc.record({
    name: words,
    note: words,
    left: fc.option(fc.double({ min: 0, max: 900, noNaN: true }).map((ml) => Math.round(ml * 10) / 10)),
  });
  fc.assert(
    fc.property(jar, (given) => {
      const item = shelfItemSchema.parse({ ...startingItem('glitter', 'x'), ...given });
      expect(read(shelfCsv([item])).items[0].item).toEqual({ ...item, id: `new-${made}` });
    }),
    { numRuns: 200 },
  );
});

test('an ink survives it, with its sort, its solvent and how sure it is', () => {
  const paste = shelfItemSchema.parse({
    ...startingItem('ink', 'x'),
    name: 'Putty',
    type: 'pigment',
    sort: 'paste',
    solvent: true,
    basis: 'dab',
    sure: { colour: 1.8, strength: 0.12 },
  });
  expect(read(shelfCsv([paste])).items[0].item).toEqual({ ...paste, id: `new-${made}` });
  const { items, faults } = read('kind,name,ink_sort,solvent\nink,Haze,glow powder,no\nink,Fume,paste,maybe');
  expect(items.map(({ item }) => item)).toMatchObject([{ name: 'Haze', type: 'pigment', sort: 'glow powder', solvent: false }]);
  expect(faults.map(({ path }) => path)).toEqual(['line 3, solvent']);
});

test.each([
  ['semicolons and decimal commas', 'Name;Cut;Color;Left\nMoth;0,4;d98a2f;12,5'],
  ['tabs', 'Name\tCut\tColor\tLeft\nMoth\t0.4 mm\t#D98A2F\t12.5 ml'],
  ['a byte-order mark', '\uFEFFname,cut_mm,colour,left_ml\nMoth,0.4,#d98a2f,12.5'],
  ['other headings in another order', 'In stock;HEX colour;Cut (mm);Product\n12.5;#d98a2f;0.4;Moth'],
])('%s are read', (_, text) => {
  const { items, faults } = read(text);
  expect(faults).toEqual([]);
  expect(items[0].item).toMatchObject({
    kind: 'glitter',
    name: 'Moth',
    left: 12.5,
    flake: { colour: '#d98a2f', cut: 0.4, thickness: 50, solidShare: 0.3 },
  });
});

test('with a cut come its usual values, unless the table says them', () => {
  const { items } = read('name,cut_mm,thickness_um\nFine,0.2,\nFoil,0.2,25');
  expect(items.map(({ item }) => (item.kind === 'glitter' ? item.flake.thickness : 0))).toEqual([40, 25]);
});

test('a row that can’t be is a fault with its line; the others come in', () => {
  const { items, faults } = read(
    'name,kind,colour,cut_mm\nGood,glitter,#112233,0.4\nBad,glitter,reddish,0.4\nOdd,varnish,,\n,glitter,#112233,0.4\nHuge,glitter,#112233,99',
  );
  expect(items.map(({ item }) => item.name)).toEqual(['Good']);
  expect(faults.map(({ path }) => path)).toEqual(['line 3, colour', 'line 4', 'line 5, name', 'line 6, cut, mm']);
  expect(faults[0].sentence).toMatch(/six digits/);
  expect(faults[1].sentence).toMatch(/write glitter, ink/);
});

test('one name twice: the later line counts, and it is said', () => {
  const { items, faults } = read('name,left_ml\nMoth,5\nmoth,9');
  expect(items).toHaveLength(1);
  expect(items[0]).toMatchObject({ line: 3, item: { left: 9 } });
  expect(faults).toEqual([{ path: 'line 3', sentence: '“moth” stands in line 2 too; this line counts.' }]);
});

test('a formula in a cell stays words, and is quoted on the way out', () => {
  const { items } = read('name,note\n"=HYPERLINK(""x"")",@sum');
  expect(items[0].item).toMatchObject({ name: '=HYPERLINK("x")', note: '@sum' });
  expect(shelfCsv([items[0].item])).toContain(`'=HYPERLINK`);
});

test.each([
  ['name\n', /no item in this table/],
  ['', /no item in this table/],
  [`name\n${'x\n'.repeat(50000)}`, /50,000 rows; 2,000 are the most/],
  ['\u0000\u0001name\nx', /no text/],
  ['x'.repeat(5_000_001), /five megabytes/],
])('what is no shelf is said, not guessed (%#)', (text, sentence) => {
  expect(() => readShelfTable(text)).toThrow(TableError);
  expect(() => readShelfTable(text)).toThrow(sentence);
});

test('headings of others are guessed, none twice', () => {
  expect(guessedMapping(['Title', 'Price', 'Batch', 'name', 'Whatever'])).toEqual([null, 'paid', 'lot', 'name', null]);
});

test('a jar of mixed cuts goes out and comes in again; one that can’t be read is a fault', () => {
  const { items, faults } = read('name,cut_mm,other_cuts\nMoth,0.4,0.2 mm 30 %; 1 20\nDusk,0.4,some coarse');
  expect(items[0].item).toMatchObject({
    flake: {
      cut: 0.4,
      mixed: [
        { cut: 0.2, share: 0.3 },
        { cut: 1, share: 0.2 },
      ],
    },
  });
  expect(faults.map(({ path }) => path)).toEqual(['line 3, other cuts']);
  expect(shelfCsv([items[0].item])).toContain('0.2 mm 30 %; 1 mm 20 %');
});

test('a kind called like something of the program’s own is a fault like any other; columns are named in words', () => {
  for (const kind of ['constructor', '__proto__', 'toString'])
    expect(itemsOfTable(readShelfTable(`kind,name\n${kind},X\n`), ['kind', 'name'], [], () => 'id').faults).toMatchObject([
      { sentence: expect.stringContaining('is no kind of item') },
    ]);
  for (const { words } of shelfColumns) expect(words).not.toMatch(/_/);
  expect(shelfColumns.find(({ name }) => name === 'opacity_percent')?.words).toBe('opacity, %');
});

test('a unit in a cell counts: 1 cm of cut is 10 mm, grams aren’t ml', () => {
  const read = (column: string, cell: string) =>
    itemsOfTable(readShelfTable(`name,${column}\nX,"${cell}"\n`), ['name', column], [], () => 'id');
  expect(read('cut_mm', '0.1 cm').items[0].item).toMatchObject({ flake: { cut: 1 } });
  expect(read('left_ml', '2 tsp').items[0].item).toMatchObject({ left: 10 });
  expect(read('left_ml', '5 g')).toMatchObject({ items: [], faults: [{ path: 'line 2, left, ml' }] });
});
