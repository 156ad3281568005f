import { withFix, planOf, type CoatId, type Design, type Workshop } from '../src';
import { coat, designWith, workshop } from './workshop';

const found = (design: Design, over: Workshop = workshop) => planOf(design, over).findings;
const rulesOf = (design: Design, over: Workshop = workshop) => found(design, over).map((finding) => finding.rule);
const usual = [coat.base, coat.wipe, coat.glitter, coat.press, coat.seal, coat.resin, coat.sand, coat.resin, coat.rest];

/** Takes the fix of a rule and says which rules are left. */
function afterFix(design: Design, rule: string): readonly string[] {
  const finding = found(design).find((one) => one.rule === rule);
  if (!finding?.fix) throw new Error(`${rule} offers no fix`);
  return rulesOf(withFix(design, finding.fix, workshop, 'added' as CoatId));
}

test('a sound order has nothing to look at', () => expect(rulesOf(designWith(usual))).toEqual([]));

describe('each rule speaks up, and its fix settles it', () => {
  test.each([
    ['glitter without glue', [coat.base, coat.glitter, coat.press, coat.seal, coat.resin]],
    ['film that runs', [...usual, { ...coat.resin, thickness: 1.2 }]],
    ['ink load', [...usual, { ...coat.ink, load: 14 }]],
    ['press chunky flakes', [coat.wipe, coat.glitter, coat.seal, coat.resin]],
    ['seal raw glitter', [coat.brush, { ...coat.glitter, on: ['low'] }, coat.resin]],
    ['sand into flakes', [coat.wipe, coat.glitter, coat.press, coat.sand]],
    [
      'decal on raw glitter',
      [coat.wipe, coat.glitter, coat.press, { kind: 'decal', name: 'Mark', width: 40, height: 30, centre: 60 }],
    ],
  ])('%s', (rule, coats) => {
    const design = designWith(coats);
    expect(rulesOf(design)).toContain(rule);
    expect(afterFix(design, rule)).not.toContain(rule);
  });
});

describe('rules without a mechanical fix', () => {
  test('chunky flakes in a tacky coat', () => {
    const tacky = { kind: 'glue', on: 'all', glue: 'tacky-coat', resin: null };
    expect(rulesOf(designWith([tacky, coat.glitter, coat.press, coat.seal]))).toContain('chunky glitter in thin glue');
  });
  test('several blends into a glue that dries in five minutes', () => {
    expect(rulesOf(designWith([coat.brush, coat.glitter, coat.press, coat.seal]))).toContain('fast glue under several colours');
  });
  test('an area under the lip', () => {
    const areas = [{ kind: 'band', id: 'low', name: 'Low', from: 0, to: 178 }];
    const finding = found(designWith([], { areas, blends: [] }))[0];
    expect(finding).toMatchObject({ rule: 'coats above the lip strip', level: 'look', area: 'low' });
  });
  test('a cold room, a damp room, an empty jar', () => {
    const cold = { ...workshop, settings: { ...workshop.settings, celsius: 14 } };
    const damp = { ...workshop, settings: { ...workshop.settings, humidity: 80 } };
    const short = { ...workshop, shelf: workshop.shelf.map((item) => (item.id === 'penny-rain' ? { ...item, left: 2 } : item)) };
    expect(found(designWith(usual), cold)[0].says).toMatch(/14\.0 °C, too cold/);
    expect(found(designWith(usual), damp)[0].says).toMatch(/80 % humidity/);
    expect(found(designWith(usual), short)[0].says).toBe('Penny Rain: 6.0 ml wanted, 2.0 ml left.');
  });
  test('the school decides when to seal', () => {
    const unsealed = designWith([coat.wipe, coat.glitter, coat.press, coat.resin]);
    const school = (sealing: Workshop['settings']['sealing']) => ({ ...workshop, settings: { ...workshop.settings, sealing } });
    expect(rulesOf(unsealed, school('always'))).toContain('seal raw glitter');
    expect(rulesOf(unsealed, school('after dry glue'))).not.toContain('seal raw glitter');
    expect(rulesOf(designWith([coat.brush, { ...coat.glitter, on: ['low'] }, coat.resin]), school('never'))).not.toContain(
      'seal raw glitter',
    );
  });
  test('what stops the work comes first', () => {
    const levels = found(designWith([...usual, { ...coat.ink, load: 7 }, { ...coat.resin, thickness: 0.9 }])).map(
      (finding) => finding.level,
    );
    expect(levels).toEqual(['stop', 'look']);
  });
});
