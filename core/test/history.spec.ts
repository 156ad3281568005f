import fc from 'fast-check';
import {
  metricUnits,
  startingArea,
  withArea,
  withAreaOrder,
  withCoat,
  withCoatChanged,
  withCoatMoved,
  withCoatTwice,
  withFadeBegun,
  withoutArea,
  withoutCoat,
  withPart,
  withPartMl,
  startingCoat,
  type AreaId,
  type CoatId,
  type Design,
} from '../src';
import { changesBetween } from '../src/history';
import { anyDesign, anyWorkshop } from './any-design';
import { demoFile } from './workshop';

const { design, shelf, settings } = demoFile('copper-eaves');
const workshop = { shelf, settings };
const said = (after: Design, before = design) => changesBetween(before, after, workshop).join(' ');
const area = (name: string) => design.areas.find((one) => one.name === name)?.id ?? ('' as AreaId);
const jar = (name: string) => shelf.find((item) => item.name === name)?.id ?? shelf[0].id;
const coatOf = (kind: string) => design.coats.find((coat) => coat.kind === kind)?.id ?? ('' as CoatId);

describe('what changed in a design', () => {
  test.each<[string, (one: Design) => Design, RegExp]>([
    ['its name', (one) => ({ ...one, name: 'Eaves again' }), /^Called “Eaves again” instead of “Copper Eaves”\.$/],
    [
      'another lip',
      (one) => ({ ...one, cup: { ...one.cup, lipStrip: 20 } }),
      /measured anew: 53\d\.\d cm² → 50\d\.\d cm² to coat/,
    ],
    ['another cup', (one) => ({ ...one, cup: { ...one.cup, name: 'Mug' } }), /^Another cup, Mug: .* cm² to coat as before\.$/],
    ['an area more', (one) => withArea(one, 'x' as AreaId, 'wave'), /Wave 1 added, a wave of \d+\.\d cm²\./],
    ['an area less', (one) => withoutArea(one, area('Ridge')), /Ridge \(142\.4 cm²\) taken out\..* Left over 0\.0 cm² → /],
    [
      'an area called otherwise',
      (one) => ({ ...one, areas: one.areas.map((each) => (each.name === 'Foot' ? { ...each, name: 'Plinth' } : each)) }),
      /^“Foot” is called “Plinth” now\.$/,
    ],
    ['the order of areas', (one) => withAreaOrder(one, 0, 1), /The areas lie in another order\./],
    [
      'ml of a jar',
      (one) => withPartMl(one, area('Foot'), jar('Quarry Moss'), 6),
      /^Blend of Foot: Quarry Moss 4\.0 ml → 6\.0 ml\. All glitter /,
    ],
    ['a jar more', (one) => withPart(one, area('Foot'), jar('Penny Rain'), 2), /Blend of Foot: Penny Rain added, 2\.0 ml/],
    ['a fade begun', (one) => withFadeBegun(one, area('Eaves'), 2), /^Eaves fades, in \d pots\./],
    ['a coat more', (one) => withCoat(one, startingCoat('seal', one, workshop, 'x' as CoatId)), /^Added: .*[Ss]eal/],
    ['a coat less', (one) => withoutCoat(one, coatOf('sand')), /^Taken out: .*\./],
    ['a coat twice', (one) => withCoatTwice(one, coatOf('sand'), 'x' as CoatId), /^Added: /],
    ['the order of coats', (one) => withCoatMoved(one, 0, 1), /^The coats go in another order\.$/],
    [
      'a film',
      (one) => withCoatChanged(one, coatOf('resin'), (coat) => (coat.kind === 'resin' ? { ...coat, thickness: 0.6 } : coat)),
      /^Coat \d+, .*, set otherwise: film 0\.\d+ mm → 0\.60? mm and resin .* → .*\. All resin .* → /,
    ],
  ])('%s is said with its figures, and nothing else', (_, edit, expected) => expect(said(edit(design))).toMatch(expected));

  test('a fade taken off and one set otherwise are told apart', () => {
    const fading = withFadeBegun(design, area('Eaves'), 2);
    expect(said(design, fading)).toMatch(/^Eaves no longer fades\./);
    const more = { ...fading, fades: fading.fades.map((fade) => ({ ...fade, pots: fade.pots + 1 })) };
    expect(said(more, fading)).toMatch(/^The fade of Eaves set otherwise, \d pots → \d pots\./);
  });
  test('figures are in the maker’s own units', () => {
    const inches = { ...settings, units: { ...metricUnits, length: 'inch' as const, amount: 'gram' as const } };
    const after = withPartMl(design, area('Foot'), jar('Quarry Moss'), 6);
    expect(changesBetween(design, after, { shelf, settings: inches })[0]).toMatch(/Quarry Moss \d\.\d+ g → \d\.\d+ g/);
  });
  test('a new area of every kind can be told of', () => {
    for (const kind of ['band', 'wedge', 'spiral', 'window', 'scatter'] as const) {
      const one = startingArea(kind, 'x' as AreaId, 1, design.cup, 0);
      expect(said({ ...design, areas: [...design.areas, one] })).toContain(`${one.name} added`);
    }
  });
  test('between any two designs it is said in whole sentences without a hole; between one and itself nothing', () => {
    fc.assert(
      fc.property(anyDesign, anyDesign, anyWorkshop, (one, other, shop) => {
        expect(changesBetween(one, structuredClone(one), shop)).toEqual(['Nothing that shows.']);
        const lines = changesBetween(one, { ...other, id: one.id }, shop);
        expect(lines.length).toBeGreaterThan(0);
        for (const line of lines) expect(line).toMatch(/^(?!.*(NaN|undefined|null|Infinity)).*\.$/);
      }),
      { numRuns: 40 },
    );
  });
});
