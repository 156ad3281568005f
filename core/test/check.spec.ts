import {
  cardOf,
  countFindings,
  designSchema,
  planOf,
  withException,
  withFix,
  type CoatId,
  type Design,
  type Workshop,
} from '../src';
import { changesBetween } from '../src/history';
import { coat, designWith, workshop } from './workshop';

const found = (design: Design, over: Workshop = workshop) => planOf(design, over).findings;
const rulesOf = (design: Design, over: Workshop = workshop) => found(design, over).map((finding) => finding.rule);
const prep = { kind: 'prep' };
const decal = { kind: 'decal', name: 'Mark', width: 40, height: 30, centre: 60 };
const usual = [prep, coat.base, coat.wipe, coat.glitter, coat.press, coat.seal, coat.resin, coat.sand, coat.resin, coat.rest];

/** With so much glitter that one wipe covers. */
const covered = (coats: readonly object[]): Design =>
  designWith(coats, {
    blends: [
      { area: 'low', parts: [{ item: 'penny-rain', ml: 20 }] },
      {
        area: 'high',
        parts: [
          { item: 'rust-road', ml: 40 },
          { item: 'lamp-oil', ml: 20 },
        ],
      },
    ],
  });

/** Takes the fix of a rule and says which rules are left. */
function afterFix(design: Design, rule: string): readonly string[] {
  const finding = found(design).find((one) => one.rule === rule);
  if (!finding?.fix) throw new Error(`${rule} offers no fix`);
  return rulesOf(withFix(design, finding.fix, workshop, 'added' as CoatId));
}

test('a sound order has nothing to look at', () => expect(rulesOf(covered(usual))).toEqual([]));

describe('each rule speaks up, and its fix settles it', () => {
  test.each([
    ['glitter without glue', [coat.base, coat.glitter, coat.press, coat.seal, coat.resin]],
    ['scuff first', [coat.base, coat.wipe, coat.glitter]],
    ['flakes not buried', [prep, coat.wipe, coat.glitter, coat.press, coat.seal, { ...coat.resin, thickness: 0.2 }]],
    ['decal on gloss', [...usual, decal]],
    ['film that runs', [...usual, { ...coat.resin, thickness: 1.2 }]],
    ['ink load', [...usual, { ...coat.ink, load: 14 }]],
    ['press chunky flakes', [coat.wipe, coat.glitter, coat.seal, coat.resin]],
    ['seal raw glitter', [coat.brush, { ...coat.glitter, on: ['low'] }, coat.resin]],
    ['sand into flakes', [coat.wipe, coat.glitter, coat.press, coat.sand]],
    ['decal on raw glitter', [coat.wipe, coat.glitter, coat.press, decal]],
  ])('%s', (rule, coats) => {
    const design = designWith(coats);
    expect(rulesOf(design)).toContain(rule);
    expect(afterFix(design, rule)).not.toContain(rule);
  });
});

describe('what a film and a ground can do', () => {
  test('a slow turner carries less: the film is said to run, and the one offered doesn’t', () => {
    const slow = { ...workshop, settings: { ...workshop.settings, rpm: 1 } };
    const design = covered([...usual.slice(0, -1), { ...coat.resin, thickness: 0.45 }]);
    expect(rulesOf(design)).not.toContain('film that runs');
    const finding = found(design, slow).find(({ rule }) => rule === 'film that runs');
    expect(finding?.why).toMatch(/^At 1 turn a minute this cup carries 0\.\d\d mm of this resin\. Turn faster/);
    if (!finding?.fix) throw new Error('no fix');
    const mended = withFix(design, finding.fix, workshop, 'added' as CoatId);
    expect(found(mended, slow).filter(({ rule, coat: id }) => rule === 'film that runs' && id === finding.coat)).toEqual([]);
    const fast = { ...workshop, settings: { ...workshop.settings, rpm: 5 } };
    expect(rulesOf(design, fast)).not.toContain('film that runs');
  });

  test('as many coats as it says bury the flakes, and one fewer doesn’t', () => {
    const thin = [prep, coat.wipe, coat.glitter, coat.seal, { ...coat.resin, thickness: 0.05 }];
    const more = (count: number) => rulesOf(designWith([...thin, ...Array.from({ length: count }, () => coat.resin)]));
    const why = found(designWith(thin)).find(({ rule }) => rule === 'flakes not buried')?.why ?? '';
    const count = Number(/(\d+) more coat/.exec(why)?.[1]);
    expect(count).toBeGreaterThan(0);
    expect(more(count)).not.toContain('flakes not buried');
    expect(more(count - 1)).toContain('flakes not buried');
  });

  test('what was sanded before the last flakes came takes nothing off what lies over them', () => {
    const film = (thickness: number) => ({ ...coat.resin, thickness });
    const layers = [prep, coat.wipe, coat.glitter, film(0.6), { kind: 'sand' }, coat.wipe, coat.glitter];
    const missing = (coats: readonly object[]) =>
      Number(
        /will be felt: ([\d.]+) mm/.exec(
          found(designWith(coats)).find(({ rule }) => rule === 'flakes not buried')?.says ?? '',
        )?.[1],
      );
    expect(missing([...layers, film(0.2), film(0.05)])).toBeCloseTo(
      missing([prep, coat.wipe, coat.glitter, film(0.2), film(0.05)]),
      6,
    );
    expect(missing([...layers, film(0.2), { kind: 'sand' }, film(0.05)])).toBeCloseTo(
      missing([...layers, film(0.2), film(0.05)]) + 0.1,
      6,
    );
  });

  test('see-through flakes want a base of their own, opaque ones don’t', () => {
    const sheer = { blends: [{ area: 'low', parts: [{ item: 'lamp-oil', ml: 6 }] }] };
    const bare = designWith([prep, coat.wipe, coat.glitter], sheer);
    expect(rulesOf(bare)).toContain('see-through on the bare wall');
    expect(afterFix(bare, 'see-through on the bare wall')).not.toContain('see-through on the bare wall');
    expect(rulesOf(designWith([prep, coat.base, coat.wipe, coat.glitter], sheer))).not.toContain('see-through on the bare wall');
    const opaque = { blends: [{ area: 'low', parts: [{ item: 'kiln-ash', ml: 6 }] }] };
    expect(rulesOf(designWith([prep, coat.wipe, coat.glitter], opaque))).not.toContain('see-through on the bare wall');
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
    expect(found(covered(usual), cold)[0].says).toMatch(/14\.0 °C, too cold/);
    expect(found(covered(usual), damp)[0].says).toMatch(/80 % humidity/);
    expect(found(covered(usual), short)[0].says).toBe('Penny Rain: 20.0 ml wanted, 2.0 ml left.');
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
    const levels = found(covered([...usual, coat.sand, { ...coat.ink, load: 7 }, { ...coat.resin, thickness: 0.9 }])).map(
      (finding) => finding.level,
    );
    expect(levels).toEqual(['stop', 'look']);
  });
});

describe('what is meant so', () => {
  const unsanded = covered([...usual, decal]);
  const finding = found(unsanded).find(({ rule }) => rule === 'decal on gloss');
  if (!finding) throw new Error('nothing to leave so');
  const left = withException(unsanded, finding, 'The sheet is made for gloss');

  test('it is said with its reason, last, counted no more, and printed on the card', () => {
    const { findings } = planOf(left, workshop);
    expect(findings.at(-1)).toMatchObject({ rule: 'decal on gloss', accepted: 'The sheet is made for gloss' });
    expect(countFindings(findings).grave).toBe(countFindings(found(unsanded)).grave - 1);
    expect(cardOf(planOf(left, workshop), left, workshop.settings).look.join()).toContain(
      'Meant so: The sheet is made for gloss',
    );
    expect(changesBetween(unsanded, left, workshop)).toEqual(['Left so, “decal on gloss”: The sheet is made for gloss.']);
  });

  test('it is of that coat alone, and taken back it is as if it never was', () => {
    const twice = covered([...usual, decal, coat.resin, decal]);
    const [first, second] = found(twice).filter(({ rule }) => rule === 'decal on gloss');
    const once = found(withException(twice, first, 'Meant so')).filter(({ rule }) => rule === 'decal on gloss');
    expect(once.map(({ coat: id, accepted }) => [id, accepted])).toEqual([
      [second.coat, null],
      [first.coat, 'Meant so'],
    ]);
    expect(withException(left, finding, null)).toEqual(unsanded);
  });

  test('with the coat it was about it goes, once something else is left so', () => {
    const gone = { ...left, coats: left.coats.filter(({ id }) => id !== finding.coat) };
    const other = { rule: 'scuff first', coat: null, area: null };
    expect(withException(gone, other, 'A raw wall').exceptions).toEqual([{ ...other, reason: 'A raw wall' }]);
  });

  test('without a reason it can’t be', () => {
    const read = designSchema.safeParse(withException(unsanded, finding, ' '));
    expect(read.error?.issues.map(({ message }) => message)).toEqual([
      'Say why it is right here: the card tells whoever makes the cup.',
    ]);
  });
});
