import fc from 'fast-check';
import { designSchema, settingsSchema, startingItem, type Design, type Workshop } from '../src';
import { anyArea, anyCup, soundAreas } from './any-areas';
import { workshop } from './workshop';

const of = (kind: string): readonly string[] => workshop.shelf.filter((item) => item.kind === kind).map(({ id }) => id);
/** now and then a jar that isn't there any more */
const item = (kind: string) => fc.constantFrom(...of(kind), 'long-gone');
const ml = fc.oneof(fc.double({ min: 0.05, max: 30, noNaN: true }), fc.constantFrom(1e-9, 0.25, 500));
const parts = fc.uniqueArray(fc.record({ item: item('glitter'), ml }), {
  minLength: 1,
  maxLength: 4,
  selector: (part) => part.item,
});
const film = fc.double({ min: 0.02, max: 3, noNaN: true });
const share = fc.constantFrom(1, 40, 99);
const mm = fc.constantFrom(1, 30, 180, 600);
const coat = (on: fc.Arbitrary<unknown>) =>
  fc.oneof(
    fc.record({ kind: fc.constant('prep') }),
    fc.record({
      kind: fc.constant('base'),
      on,
      paint: item('paint'),
      passes: fc.integer({ min: 1, max: 6 }),
      way: fc.constantFrom('sprayed', 'brushed', 'misted'),
      fading: fc.boolean(),
    }),
    fc.record({ kind: fc.constant('glue'), on, glue: item('glue'), resin: fc.option(item('resin')) }),
    fc.record({ kind: fc.constant('glitter'), on }),
    fc.record({ kind: fc.constant('press'), on }),
    fc.record({ kind: fc.constant('seal'), on, passes: fc.integer({ min: 1, max: 4 }) }),
    fc.record({ kind: fc.constant('resin'), on, resin: item('resin'), thickness: film }),
    fc.record({
      kind: fc.constant('ink'),
      on,
      resin: item('resin'),
      ink: item('ink'),
      thickness: film,
      load: fc.oneof(fc.double({ min: 0, max: 25, noNaN: true }), fc.constant(0)),
    }),
    fc.record({
      kind: fc.constant('ink'),
      on,
      resin: item('resin'),
      ink: item('ink'),
      thickness: film,
      load: fc.constantFrom(0, 2, 8),
      upper: fc.constantFrom(0, 1, 12),
      pots: fc.constantFrom(2, 5),
    }),
    fc.record({ kind: fc.constant('sand') }),
    fc.record({
      kind: fc.constant('decal'),
      name: fc.constant('Leaf'),
      width: fc.constant(40),
      height: fc.constant(30),
      centre: fc.integer({ min: 0, max: 90 }),
    }),
    fc.record({ kind: fc.constant('pearl'), on, ink: item('ink'), glue: item('glue'), passes: fc.integer({ min: 1, max: 4 }) }),
    fc.record({ kind: fc.constantFrom('mask', 'unmask'), on }),
    fc.record({
      kind: fc.constant('strings'),
      on,
      way: fc.constantFrom('up', 'round', 'edge', 'drops'),
      ink: item('ink'),
      load: fc.constantFrom(0, 3, 25),
      ml: fc.constantFrom(0.5, 4, 30),
      count: fc.constantFrom(1, 6, 120),
      width: fc.constantFrom(1, 4, 30),
      reach: fc.constantFrom(null, { from: 20, to: 90 }, { from: 500, to: 600 }),
      rest: fc.constantFrom(0, 15, 120),
      slope: fc.constantFrom(-75, 0, 10),
    }),
    fc.record({ kind: fc.constant('sprinkle'), on, glitter: item('glitter'), flakes: fc.constantFrom(0.1, 5, 2000) }),
    fc.record({ kind: fc.constant('buff'), on, ink: item('ink') }),
    fc.record({ kind: fc.constant('dab'), on, ink: item('ink'), share, seed: fc.constantFrom(1, 2) }),
    fc.record({
      kind: fc.constant('grain'),
      on,
      ink: item('ink'),
      drops: fc.constantFrom(1, 60),
      share,
      along: fc.constantFrom('up', 'round'),
      strokes: fc.constantFrom('long', 'short', 'both'),
      width: fc.constantFrom(0.4, 12),
      knots: fc.constantFrom(0, 16),
    }),
    fc.record({
      kind: fc.constant('crackle'),
      on,
      ink: item('ink'),
      ml: fc.constantFrom(0.2, 20),
      thinned: fc.constantFrom(0, 40),
      cell: fc.constantFrom(3, 60),
    }),
    fc.record({
      kind: fc.constant('floated'),
      on,
      ink: item('ink'),
      drops: fc.constantFrom(1, 60),
      across: fc.constantFrom(5, 150),
      lands: fc.constantFrom(5, 100),
    }),
    fc.record({ kind: fc.constant('rim') }),
    fc.record({ kind: fc.constant('strip'), film: item('film'), width: mm, centre: mm, length: mm }),
    fc.record({
      kind: fc.constant('outline'),
      on,
      film: item('film'),
      gap: fc.constantFrom(0, 20),
      width: fc.constantFrom(0.2, 30),
    }),
    fc.record({
      kind: fc.constant('paper'),
      on,
      name: fc.constant('Pages'),
      colour: fc.constantFrom('#000000', '#ffffff'),
      share,
    }),
    fc.record({ kind: fc.constant('foil'), on, film: item('film'), share }),
    fc.record({ kind: fc.constant('paste'), on, paint: item('paint'), share, raised: fc.constantFrom(0.1, 3) }),
    fc.record({ kind: fc.constant('sheet'), film: item('film'), name: fc.constant('Sheet'), width: mm, height: mm, centre: mm }),
    fc.record({
      kind: fc.constant('tag'),
      name: fc.constant('Tag'),
      width: mm,
      height: mm,
      centre: mm,
      raised: fc.constantFrom(0.1, 10),
    }),
    fc.record({ kind: fc.constant('rest'), hours: fc.integer({ min: 1, max: 1000 }) }),
  );

/** A coat that ends at heights, some of them beyond any cup. */
const partly = (on: fc.Arbitrary<unknown>) =>
  fc
    .tuple(coat(on), fc.constantFrom(0, 12.5, 40, 90), fc.constantFrom(1, 30, 77.7, 600))
    .map(([one, from, tall]) =>
      'on' in one && one.kind !== 'outline' && one.kind !== 'strings'
        ? { ...one, between: { from, to: Math.min(600, from + tall) } }
        : one,
    );

const stop = fc.record({
  parts,
  cover: fc.constantFrom(0, 0.05, 0.5, 1, 1),
  base: fc.option(item('paint'), { freq: 3 }),
});
const fade = fc
  .record({
    way: fc.constantFrom('up', 'down', 'middle', 'round', 'spiral'),
    turns: fc.double({ min: 0.25, max: 12, noNaN: true }),
    stops: fc.array(stop, { minLength: 2, maxLength: 5 }),
    pots: fc.integer({ min: 2, max: 12 }),
    overlap: fc.integer({ min: 0, max: 12 }),
    depth: fc.double({ min: 0.1, max: 8, noNaN: true }),
    castOff: fc.boolean(),
  })
  .map(({ stops, ...more }) => ({ ...more, stops: stops.map((one, i) => ({ ...one, at: i / (stops.length - 1) })) }));

/** The same without strings, which a picture lets run for seconds: `wet-colour.spec.ts` draws those at random. */
export const withoutStrings = (design: Design): Design => ({
  ...design,
  coats: design.coats.filter(({ kind }) => kind !== 'strings'),
});

/** Any design that the schema accepts, on a cup of any kind; what a draw makes unsound is left out of it. */
export const anyDesign: fc.Arbitrary<Design> = anyCup.chain((cup) =>
  fc.array(anyArea, { maxLength: 6 }).chain((drawn) => {
    const areas = soundAreas(cup, drawn).filter(({ kind }) => kind !== 'base' || cup.shape !== 'sleeve');
    const ids = areas.map(({ id }) => id);
    const on = ids.length === 0 ? fc.constant('all') : fc.oneof(fc.constant('all'), fc.subarray(ids, { minLength: 1 }));
    return fc
      .record({
        blends: fc.array(fc.option(parts), { minLength: ids.length, maxLength: ids.length }),
        fades: fc.array(fc.option(fade, { freq: 1 }), { minLength: ids.length, maxLength: ids.length }),
        masked: fc.array(fc.boolean(), { minLength: ids.length, maxLength: ids.length }),
        coats: fc.array(fc.oneof({ weight: 4, arbitrary: coat(on) }, { weight: 1, arbitrary: partly(on) }), { maxLength: 12 }),
      })
      .map(({ blends, fades, masked, coats }) => {
        const whole = {
          version: 2,
          id: 'any',
          name: 'Any',
          note: '',
          cup,
          areas: areas.map((area, i) => ({ ...area, masked: masked[i] })),
          blends: blends.flatMap((some, i) => (some ? [{ area: ids[i], parts: some }] : [])),
          coats: coats.map((one, i) => ({ id: `c${i}`, ...one })),
        };
        const faded = fades.flatMap((some, i) =>
          some && areas[i].kind !== 'base' && areas[i].kind !== 'grip' ? [{ area: ids[i], ...some }] : [],
        );
        const read = designSchema.safeParse({ ...whole, fades: faded });
        return read.success ? read.data : designSchema.parse({ ...whole, fades: [] });
      });
  }),
);

/** A workshop with a full shelf, in any room, with any spoon. */
export const anyWorkshop: fc.Arbitrary<Workshop> = fc
  .record({
    spoonStep: fc.constantFrom(0.1, 0.25, 0.5, 5),
    resinStep: fc.constantFrom(0.1, 0.5, 10),
    celsius: fc.integer({ min: 0, max: 45 }),
    humidity: fc.integer({ min: 0, max: 100 }),
    sealing: fc.constantFrom('always' as const, 'after dry glue' as const, 'never' as const),
    ground: fc.constantFrom('matched' as const, 'white' as const, 'bare' as const),
    painting: fc.constantFrom('sprayed' as const, 'brushed' as const, 'pearl in glue' as const),
    firstCoat: fc.constantFrom('one thick' as const, 'two thin' as const),
    betweenCoats: fc.constantFrom('sand' as const, 'high spots' as const, 'tack' as const),
    bubbles: fc.constantFrom('flame' as const, 'warm air' as const, 'leave' as const),
    mixing: fc.constantFrom('together' as const, 'each alone first' as const),
    unmasking: fc.constantFrom('while wet' as const, 'after drying' as const),
    length: fc.constantFrom('mm' as const, 'inch' as const, 'inch fraction' as const),
    amount: fc.constantFrom('ml' as const, 'teaspoon' as const, 'gram' as const),
  })
  .map(({ length, amount, ...more }) => ({
    settings: settingsSchema.parse({
      ...workshop.settings,
      ...more,
      units: { length, amount, temperature: 'fahrenheit' },
    }),
    shelf: [...workshop.shelf, { ...startingItem('resin', 'old'), opened: '2020-01-31' }],
    today: '2026-11-26',
  }));
