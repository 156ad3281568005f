import type { CoatId, CoatOf, Design } from '../src';
import { flowFigures, otherWays, stringFlow } from '../src/string-flow';
import { coat, designWith, workshop } from './workshop';

/* How the strings of a design run, as it is told on the screen. */
const strings = { kind: 'strings', on: 'all', way: 'up', ink: 'chalk-white', load: 4, ml: 2, count: 4, width: 4, rest: 12 };
const laid = (change: object = {}): Design =>
  designWith([
    { ...coat.base, paint: 'soft-black' },
    { ...coat.resin, resin: 'slow-1-1' },
    { ...strings, ...change },
  ]);

describe('how they run', () => {
  const told = (design: Design) => {
    const id = design.coats.find(({ kind }) => kind === 'strings')?.id ?? ('none' as CoatId);
    const run = stringFlow(design, workshop, id);
    const shares: number[] = [];
    for (;;) {
      const { value, done } = run.next();
      if (done) return { ...value, shares };
      shares.push(value.progress);
    }
  };
  test('moment by moment, over what lies under them, until nothing moves', () => {
    const { moments, over, shares } = told(laid({ also: [{ ink: 'tarn', load: 2 }] }));
    expect(over).toBe(true);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(moments.map(({ minutes }) => minutes)).toEqual([0, 2, 5, 12, 20, 73]);
    const covers = moments.map(({ measures }) => measures.covers);
    expect(covers.at(-1)).toBeGreaterThan(2 * covers[0]);
    for (const { picture } of moments) expect(picture.pixels).toHaveLength(4 * picture.width * picture.height);
    expect(new Set(moments[0].picture.pixels).size).toBeGreaterThan(3);
    const units = workshop.settings.units;
    const [stringsCoat] = laid().coats.filter((one): one is CoatOf<'strings'> => one.kind === 'strings');
    const words = flowFigures(stringsCoat, moments[5].measures, 2, units).map(({ of, reads }) => `${of}: ${reads}`);
    expect(words.join('\n')).toMatch(/Covers of the wall: \d+ %\nAt half the height: 4 lines, \d+(\.\d)? mm wide on average/);
    expect(words).toContain('Heads: none');
  });
  test('nothing, of a coat that has nothing to run in', () => {
    expect(told(designWith([coat.base, strings]))).toMatchObject({ moments: [], over: true });
    expect(told(designWith([coat.base]))).toMatchObject({ moments: [], over: true });
  });
  test('laid otherwise: other rests, and every other resin of the shelf', () => {
    const design = laid();
    const ways = otherWays(design, workshop, design.coats[2].id);
    expect(ways.map(({ name }) => name)).toEqual([
      'as it is',
      'laid 5 min after mixing',
      'laid 25 min after mixing',
      'in Quick 2:1',
    ]);
    expect(ways[3].design.coats[1]).toMatchObject({ resin: 'quick-2-1' });
    expect(ways[1].design.coats[2]).toMatchObject({ rest: 5 });
  });
});
