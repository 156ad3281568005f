import fc from 'fast-check';
import { deltaE2000, labOf, PatchError, planOf, reflectanceOf, type ShelfItemId } from '../src';
import {
  mixLines,
  nearestPair,
  paletteCsv,
  paletteJson,
  paletteOfBlends,
  paletteOfShelf,
  paletteSchema,
  paletteText,
  readPalette,
  sampleSheet,
  swatchCard,
  type Palette,
  type PaletteId,
} from '../src/palette';
import { photoColours } from '../src/photo';
import { demoFile, workshop } from './workshop';

const id = 'p' as PaletteId;
const mix = (...names: string[]) => ({
  parts: names.map((name, i) => ({ item: `jar-${i}` as ShelfItemId, name, ml: i + 0.5 })),
  colour: '#b0502a',
  difference: 1.25,
});
const palette = paletteSchema.parse({
  id: 'evening',
  name: 'Evening, & after',
  colours: [
    { name: 'Ember', colour: '#b5461c', mix: mix('Rust Road', 'Penny Rain', 'Kiln Ash', 'Bee Line') },
    { name: '=Soot', colour: '#2e2b2c' },
    { name: 'Lamp', colour: '#e9b44c' },
  ],
});
const read = (text: string, fileName = 'evening.txt') => readPalette(text, id, fileName);
const faultsOf = (text: string) => {
  const answer = read(text);
  return answer.ok ? [] : answer.faults;
};
const bare = ({ colours }: Palette) => colours.map(({ name, colour }) => ({ name, colour }));

describe('a palette goes out and comes in', () => {
  test('as JSON with all there is, under an id of its own', () =>
    expect(read(paletteJson(palette))).toEqual({ ok: true, palette: { ...palette, id } }));
  test.each([
    ['a table', paletteCsv],
    ['plain text', paletteText],
  ])('as %s with its names and colours', (_, write) => {
    const answer = read(write(palette));
    expect(answer.ok && bare(answer.palette)).toEqual(bare(palette));
  });
  test('whatever its names are', () => {
    const name = fc.stringMatching(/^[A-Za-z0-9 ,;&=+@'"-]{1,40}$/).filter((text) => text.trim() === text && /^[^']/.test(text));
    fc.assert(
      fc.property(fc.array(name, { minLength: 1, maxLength: 6 }), (names) => {
        const colours = names.map((one) => ({ name: one, colour: '#123456', mix: null }));
        const answer = read(paletteCsv({ ...palette, colours }));
        expect(answer.ok && answer.palette.colours).toEqual(colours);
      }),
    );
  });
  test('from what others write: rows of three figures, other headings, a mark at the start', () => {
    const lines = read('\uFEFF; Harbour\r\n181 70 28  Ember\r\n#2e2b2c\r\ne9b44c Lamp\r\n');
    expect(lines.ok && lines.palette.name).toBe('Harbour');
    expect(lines.ok && bare(lines.palette)).toEqual([
      { name: 'Ember', colour: '#b5461c' },
      { name: '#2e2b2c', colour: '#2e2b2c' },
      { name: 'Lamp', colour: '#e9b44c' },
    ]);
    const table = read('Name;HEX\nEmber;B5461C', 'my harbour.csv');
    expect(table.ok && table.palette).toMatchObject({ name: 'my harbour', colours: [{ name: 'Ember', colour: '#b5461c' }] });
  });
});

test.each([
  ['a line that is no colour', '#b5461c Ember\nreddish', 'line 2', /is no colour/],
  ['figures beyond a screen', '300 0 0 Loud', 'line 1', /is no colour/],
  ['a table row that is no colour', 'name,colour\nEmber,red', 'line 2', /six digits/],
  ['nothing', '\n\n', '(whole file)', /no colour in this file/],
  ['too many', Array.from({ length: 60 }, () => '#112233').join('\n'), '(whole file)', /48 are the most/],
  ['no text', 'PNG\u0000\u0001', '(whole file)', /no text/],
  ['half a JSON', '{"format": "aur', '(whole file)', /isn’t JSON/],
  ['JSON of something else', '{"format": "cups", "version": 1, "palette": {}}', 'format', /no palette/],
])('%s is a fault that says where', (_, text, path, sentence) => {
  expect(faultsOf(text)[0]).toMatchObject({ path });
  expect(faultsOf(text)[0].sentence).toMatch(sentence);
});

describe('the colours of a photo', () => {
  const pixels = (...groups: [hex: string, count: number][]) =>
    Uint8ClampedArray.from(
      groups.flatMap(([hex, count]) =>
        Array.from({ length: count }, (_, i) => {
          const grain = ((i * 7) % 5) - 2;
          return [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16) + grain).concat(255);
        }).flat(),
      ),
    );
  const apart = (one: string, other: string) => deltaE2000(labOf(reflectanceOf(one)), labOf(reflectanceOf(other)));

  test('are found through its grain, the most of it first', () => {
    const wanted: [string, number][] = [
      ['#b5461c', 5000],
      ['#2f5f6b', 3000],
      ['#e9b44c', 1000],
    ];
    const found = photoColours(pixels(...wanted), 3);
    expect(found.map(({ share }) => Math.round(share * 9))).toEqual([5, 3, 1]);
    found.forEach(({ colour }, i) => expect(apart(colour, wanted[i][0])).toBeLessThan(1.5));
  });
  test('are no more than there are, and none of nothing', () => {
    expect(photoColours(pixels(['#b5461c', 900]), 6)).toHaveLength(1);
    expect(photoColours(new Uint8ClampedArray(400), 3)).toEqual([]);
  });
  test('are the same each time', () =>
    expect(photoColours(pixels(['#b5461c', 900], ['#2f5f6b', 900]), 4)).toEqual(
      photoColours(pixels(['#b5461c', 900], ['#2f5f6b', 900]), 4),
    ));
  test('are set right by a card in the picture, unless it is burnt out', () => {
    const [warm] = photoColours(pixels(['#c8a078', 900]), 1, { seen: '#e6c8a0', is: '#e6e6e6' });
    const [r, , b] = [1, 3, 5].map((at) => parseInt(warm.colour.slice(at, at + 2), 16));
    expect(b - r).toBeGreaterThan(0x78 - 0xc8 + 40);
    expect(() => photoColours(pixels(['#c8a078', 900]), 1, { seen: '#ffffff', is: '#e6e6e6' })).toThrow(PatchError);
  });
});

test('a shelf and a design’s blends make palettes, each colour with what it is made of', () => {
  const ofShelf = paletteOfShelf(id, 'All', workshop.shelf);
  expect(paletteSchema.parse(ofShelf).colours).toHaveLength(12);
  const { design, shelf, settings } = demoFile('copper-eaves');
  const plan = planOf(design, { shelf, settings });
  const [first] = paletteSchema.parse(paletteOfBlends(id, 'Copper', plan.blends)).colours;
  expect(first).toMatchObject({ name: plan.blends[0].areaName, colour: plan.blends[0].seen });
  expect(first.mix?.parts.map(({ ml }) => ml)).toEqual(plan.blends[0].parts.map(({ ml }) => ml));
});

test('the nearest two of a palette are named; one alone has none', () => {
  expect(nearestPair(palette)).toMatch(/^Nearest to each other: .+ and .+, [\d.]+ apart \(.+\)\.$/);
  expect(nearestPair({ ...palette, colours: palette.colours.slice(0, 1) })).toBeNull();
});

describe('on paper', () => {
  test('a card holds every colour apart from the others, at the same size', () => {
    const colours = Array.from({ length: 11 }, () => palette.colours[0]);
    const { chips, width, height } = swatchCard({ ...palette, colours });
    expect(chips).toHaveLength(11);
    for (const chip of chips) {
      expect(chip).toMatchObject({ width: 44, height: 26 });
      expect(chip.x + chip.width).toBeLessThanOrEqual(width);
      expect(chip.y + chip.height).toBeLessThan(height);
      expect(chips.filter((one) => one !== chip && Math.abs(one.x - chip.x) < 44 && Math.abs(one.y - chip.y) < 26)).toEqual([]);
    }
    expect(chips[0]).toMatchObject({ colour: '#b0502a', hex: '#b0502a' });
  });
  test('a recipe is broken between jars, none lost', () => {
    const lines = mixLines(mix('Rust Road', 'Penny Rain', 'Kiln Ash'), 24);
    expect(lines).toEqual(['0.5 ml Rust Road', '+ 1.5 ml Penny Rain', '+ 2.5 ml Kiln Ash']);
    expect(mixLines(mix('Rust Road', 'Penny Rain'), 60)).toEqual(['0.5 ml Rust Road + 1.5 ml Penny Rain']);
  });
  test.each(['A4', 'Letter'] as const)('sample sheets of %s take as many pages as they need, names and all', (paper) => {
    const colours = Array.from({ length: 15 }, (_, i) => ({ ...palette.colours[0], name: `No. ${i} <&>` }));
    const pages = sampleSheet({ ...palette, colours }, paper);
    const all = pages.map(({ svg }) => svg).join('');
    for (let i = 0; i < 15; i += 1) expect(all).toContain(`No. ${i} &lt;&amp;&gt;`);
    expect(all.match(/on its base/g)).toHaveLength(15);
    expect(pages.at(-1)?.svg).toContain(`${pages.length} of ${pages.length}`);
    // The bar is 50 mm of a drawing whose unit is a mm.
    expect(pages[0].svg).toMatch(new RegExp(`viewBox="0 0 ${pages[0].width} ${pages[0].height}"`));
    expect(pages[0].svg).toContain('h50v');
  });
});
