import {
  deltaE2000,
  hexOf,
  inkFilm,
  itemOf,
  labOf,
  layOver,
  reflectanceOf,
  type CoatId,
  type Design,
  type ItemOf,
  type Workshop,
} from '../src';
import { inkSpread, overBases } from '../src/ink-depth';
import { coat, designWith, workshop } from './workshop';

const id = 'coat-1' as CoatId;
const inked = (more: object = {}, paint = 'limewash'): Design =>
  designWith([{ ...coat.base, paint }, { ...coat.ink, ...more }, coat.rest]);
const withInk = (name: string, change: Partial<ItemOf<'ink'>>): Workshop => ({
  ...workshop,
  shelf: workshop.shelf.map((item) => (item.id === name && item.kind === 'ink' ? { ...item, ...change } : item)),
});
const paint = (name: string): string => itemOf(workshop.shelf, name, 'paint')?.colour ?? '';

describe('how sure a tinted coat is', () => {
  const away = (over: Workshop, design = inked()) => inkSpread(design, over, id, 'low')?.away ?? NaN;

  test('reading its ink off a dab makes it surer, as it says', () => {
    const now = inkSpread(inked(), workshop, id, 'low');
    expect(now?.says).toBe('Most of it is what is known of Tarn: reading it off a dab on the shelf makes it surer.');
    const read = withInk('tarn', { basis: 'dab', sure: { colour: 1.7, strength: 0.1 } });
    expect(away(read)).toBeLessThan(0.7 * (now?.away ?? NaN));
    expect(inkSpread(inked(), read, id, 'low')?.says).toBe('Most of it is how thick the film comes out.');
  });
  test('it covers a swatch and a film that are off by as much as is said, of both together', () => {
    const sure = { colour: 0, strength: 0.1 };
    const over = withInk('tarn', { basis: 'dab', sure });
    const tarn = itemOf(over.shelf, 'tarn', 'ink');
    if (!tarn) throw new Error('no Tarn');
    const seen = (film: number) => layOver(inkFilm(tarn, 1, film), reflectanceOf(paint('limewash')));
    const off = (film: number) => deltaE2000(labOf(seen(0.35)), labOf(seen(film)));
    const both = Math.hypot(0.2, 0.1);
    const mean = (off(0.35 * (1 + both)) + off(0.35 * (1 - both))) / 2;
    expect(away(over, inked({ load: 1 }))).toBeGreaterThan(0.85 * mean);
    expect(away(over, inked({ load: 1 }))).toBeLessThan(1.15 * mean);
  });
  test('no ink, no place, no load: nothing to be unsure of', () => {
    expect(inkSpread(inked({ ink: 'long-gone' }), workshop, id, 'low')).toBeNull();
    expect(inkSpread(inked(), workshop, id, 'nowhere')).toBeNull();
    expect(inkSpread(inked({ load: 0 }), workshop, id, 'low')).toBeNull();
    expect(inkSpread(inked(), workshop, 'coat-0' as CoatId, 'low')).toBeNull();
  });
});

describe('a tinted coat over other bases', () => {
  const bases = (ink: string) => overBases(inked({ ink, load: 2 }), workshop, id);

  test('a pearl shows most over the darkest paint and hardly on the lightest', () => {
    const found = bases('fog-lamp');
    expect(found.map(({ why }) => why)).toEqual(['light', 'best']);
    const [light, best] = found;
    expect(light.name).toBe('Limewash');
    expect(best.paint).toBe('soft-black');
    expect(best.shows).toBeGreaterThan(4 * light.shows);
  });
  test('a dye shows most over a light one; none of the shelf’s paints shows it more than the best', () => {
    const found = bases('tarn');
    const best = found[found.length - 1];
    expect(best.why).toBe('best');
    const tarn = itemOf(workshop.shelf, 'tarn', 'ink');
    if (!tarn) throw new Error('no Tarn');
    for (const item of workshop.shelf)
      if (item.kind === 'paint') {
        const under = reflectanceOf(item.colour);
        expect(deltaE2000(labOf(under), labOf(layOver(inkFilm(tarn, 2, 0.35), under)))).toBeLessThan(best.shows + 1);
      }
    expect(best.under).toBe(paint(best.paint));
    expect(best.seen).not.toBe(best.under);
  });
  test('each is what the plan says of a design with that base', () => {
    for (const { paint: own, seen } of bases('madder')) {
      const under = reflectanceOf(paint(own));
      const madder = itemOf(workshop.shelf, 'madder', 'ink');
      if (!madder) throw new Error('no Madder');
      expect(
        deltaE2000(labOf(reflectanceOf(seen)), labOf(reflectanceOf(hexOf(layOver(inkFilm(madder, 2, 0.35), under))))),
      ).toBeLessThan(2);
    }
  });
  test('without paint or ink there is none', () => {
    expect(overBases(inked({ ink: 'long-gone' }), workshop, id)).toEqual([]);
    expect(overBases(inked(), { ...workshop, shelf: workshop.shelf.filter(({ kind }) => kind !== 'paint') }, id)).toEqual([]);
  });
});
