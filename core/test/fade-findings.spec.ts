import { designSchema, planOf, type AreaId } from '../src';
import { withMatchingBase } from '../src';
import { coat, designWith, workshop } from './workshop';

const id = (text: string) => text as AreaId;

describe('what the check says of fades', () => {
  const band = (stops: readonly object[], coats: readonly object[] = [coat.base, coat.wipe, coat.glitter], more: object = {}) =>
    planOf(
      designSchema.parse(
        designWith(coats, { fades: [{ area: 'low', way: 'up', stops, pots: 5, overlap: 4, depth: 1.5, ...more }] }),
      ),
      workshop,
    ).findings.map(({ level, says, why }) => `${level}: ${says} ${why}`);
  const stop = (at: number, item: string, more: object = {}) => ({ at, parts: [{ item, ml: 1 }], ...more });

  test('twins read as one colour', () =>
    expect(band([stop(0, 'bee-line'), stop(1, 'bee-line')])).toContainEqual(
      expect.stringMatching(/^stop: The fade of Low: this will not be seen\. .*reads as one/),
    ));
  test('an overlap wider than a pot can’t be laid', () =>
    expect(band([stop(0, 'bee-line'), stop(1, 'kiln-ash')], undefined, { pots: 20, overlap: 30 })).toContainEqual(
      expect.stringMatching(/^stop: The fade of Low can’t be laid so\. .*Take fewer pots, or less overlap/),
    ));
  test('a base fade under solid glitter can’t show, under opal it does', () => {
    const coats = [{ ...coat.base, fading: true }, coat.wipe, coat.glitter];
    const over = (item: string) => band([stop(0, item, { base: 'honey' }), stop(1, item, { base: 'soft-black' })], coats);
    expect(over('kiln-ash')).toContainEqual(
      expect.stringMatching(/The base fade of Low can’t show through solid glitter\. .*only the 22 % left bare/),
    );
    expect(over('first-frost').filter((text) => /base fade/.test(text))).toEqual([]);
  });
  test('a base that follows its solid glitter is as it should be', () => {
    const design = designSchema.parse(
      designWith([coat.base, coat.wipe, coat.glitter], {
        fades: [{ area: 'low', way: 'up', stops: [stop(0, 'brickfield'), stop(1, 'bee-line')], pots: 5, overlap: 4, depth: 1.5 }],
      }),
    );
    const matched = withMatchingBase(design, id('low'), workshop.shelf);
    expect(matched.fades[0].stops.map(({ base }) => base)).toEqual(['brick-red', 'honey']);
    expect(planOf(matched, workshop).findings.filter(({ rule }) => /base fade/.test(rule))).toEqual([]);
  });
  test('a base fade that no coat lays is said', () =>
    expect(band([stop(0, 'first-frost', { base: 'honey' }), stop(1, 'first-frost', { base: 'soft-black' })])).toContainEqual(
      expect.stringMatching(/No base coat lays the base fade of Low/),
    ));
  test('pots that outlast the glue, with the glues that give the time', () =>
    expect(band([stop(0, 'bee-line'), stop(1, 'kiln-ash')], [coat.base, coat.brush, coat.glitter])).toContainEqual(
      expect.stringMatching(
        /look: 6 pots take about 18 min, and the glue under them takes glitter for 5\. .*Resin wipe.*with 4 pairs of hands/,
      ),
    ));
});
