import fc from 'fast-check';
import { cupSchema, enclosedVolume, startingCup, typicalCups, volumeCheck } from '../src';
import { cupsCsv, cupsJson, readCups } from '../src/cups-file';

describe('cups in files', () => {
  const cups = typicalCups.map((cup) => cupSchema.parse({ ...cup, seam: 'weld, left' }));
  test('the library is sound, and encloses what it says it holds', () => {
    for (const cup of cups) {
      expect(cupSchema.safeParse(cup).success).toBe(true);
      expect(volumeCheck(enclosedVolume(cup.stations), cup.volume)).toMatch(/the rest is its wall/);
    }
  });
  test('come back as they went, as JSON and as a table', () => {
    expect(readCups(cupsJson(cups))).toEqual({ ok: true, cups });
    expect(readCups(cupsCsv(cups))).toEqual({ ok: true, cups });
  });
  test('any cup comes back from a table as it went, whatever its words', () => {
    const words = fc.oneof(
      fc.string({ minLength: 1, maxLength: 20 }),
      fc.constantFrom("'=1", '=1\n2', '-x', "''@", '\t=a', '1e-7', '"quoted", and more'),
    );
    const cup = fc.record({ name: words, seam: words, lipStrip: fc.double({ min: 0, max: 20, noNaN: true }) });
    fc.assert(
      fc.property(fc.array(cup, { minLength: 1, maxLength: 4 }), (some) => {
        const all = some.flatMap((more) => {
          const read = cupSchema.safeParse({ ...cups[0], ...more });
          return read.success ? [read.data] : [];
        });
        if (all.length > 0) expect(readCups(cupsCsv(all))).toEqual({ ok: true, cups: all });
      }),
    );
  });
  test('no cell of a table is run by a spreadsheet, though it holds a line break', () => {
    const cells = cupsCsv([{ ...cups[0], name: '=1+1\n=2', seam: '@sum' }]);
    expect(cells).toContain(`"'=1+1\n=2"`);
    expect(cells).toContain(`,"'@sum",`);
  });
  test('a table with semicolons, decimal commas, a byte-order mark and columns in another order', () => {
    const read = readCups(
      '\uFEFFkind;name;round_1_mm;height_2_mm;round_2_mm;volume_ml\nTapered;Becher;"220,5";200;"280,25";600\n',
    );
    expect(read).toMatchObject({
      ok: true,
      cups: [
        {
          name: 'Becher',
          shape: 'tapered',
          lipStrip: 10,
          stations: [
            { height: 0, circumference: 220.5 },
            { height: 200, circumference: 280.25 },
          ],
        },
      ],
    });
  });
  test('a name that a spreadsheet would run goes out quoted and comes back plain', () => {
    const evil = [{ ...cups[0], name: '=1+1' }];
    expect(cupsCsv(evil)).toContain("'=1+1");
    expect(readCups(cupsCsv(evil))).toMatchObject({ ok: true, cups: [{ name: '=1+1' }] });
  });
  test.each<[string, string, RegExp, RegExp]>([
    ['no columns', 'a,b\n1,2\n', /first line/, /“name” and “kind”/],
    [
      'a word for a figure',
      'name,kind,round_1_mm,height_2_mm,round_2_mm\nX,tapered,about 220,200,280\n',
      /row 2, stations\[0\]\.circumference/,
      /read off the tape/,
    ],
    [
      'a shape no cup has',
      'name,kind,round_1_mm,height_2_mm,round_2_mm\nX,tapered,100,20,790\n',
      /row 2, stations\[1\]/,
      /saucer/,
    ],
    [
      'a kind nobody makes',
      'name,kind,round_1_mm,height_2_mm,round_2_mm\nX,bowl,220,200,280\n',
      /row 2, shape/,
      /A cup is one of/,
    ],
    ['another format', '{"format":"x","version":1,"cups":[]}', /format/, /aurantia cups/],
    ['half a JSON', '{"format":', /whole file/, /isn’t JSON/],
    ['nothing', 'name,kind,round_1_mm,height_2_mm\n', /whole file/, /no cup in this table/],
  ])('%s: a sentence, and no cup', (_, text, path, words) => {
    const read = readCups(text);
    if (read.ok) throw new Error('taken');
    expect(read.faults[0].path).toMatch(path);
    expect(read.faults[0].sentence).toMatch(words);
  });
  test('readings that make no cup are named', () => {
    const odd = cupSchema.safeParse({
      ...startingCup,
      shape: 'curved',
      stations: [
        { height: 0, circumference: 220 },
        { height: 90, circumference: 400 },
        { height: 180, circumference: 240 },
      ],
    });
    expect(odd.error?.issues[0]).toMatchObject({
      path: ['stations', 1, 'circumference'],
      message: expect.stringMatching(/74 % over what the two beside it lead to, 230 mm/),
    });
    const wide = cupSchema.safeParse({
      ...startingCup,
      recess: { depth: 2, diameter: 90 },
      handle: { angle: 0, width: 120, from: 50, to: 40, length: 90, girth: 40 },
    });
    expect(wide.error?.issues.map(({ path }) => path.join('.'))).toEqual(['recess.diameter', 'handle.width', 'handle.to']);
  });
});
