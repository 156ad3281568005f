import { planOf, type Design, type Workshop } from '../src';
import { causesOf, troubles } from '../src/trouble';
import { coat, demoFile, designWith, workshop } from './workshop';

const prep = { kind: 'prep' };
const sound = [prep, coat.base, coat.wipe, coat.glitter, coat.press, coat.seal, coat.resin, coat.sand, coat.resin, coat.rest];
const strip = { kind: 'strip', film: 'hearth-foil', width: 3, centre: 90, length: 300 };
const paper = { kind: 'paper', on: ['low'], name: 'Map', colour: '#c8b48a', share: 40 };
const pours = (...areas: readonly string[]) =>
  areas.flatMap((area) => [
    { ...coat.brush, on: [area] },
    { ...coat.glitter, on: [area] },
  ]);
const causes = (name: RegExp, design: Design, over: Workshop = workshop) => {
  const trouble = troubles.find((one) => name.test(one.name));
  if (!trouble) throw new Error(`no trouble ${name}`);
  return causesOf(trouble, { design, plan: planOf(design, over), workshop: over });
};

test('a cause that the design speaks for comes first, in the check’s own words', () => {
  const runny = designWith([...sound.slice(0, -1), { ...coat.resin, thickness: 1.2 }]);
  const [first] = causes(/^Runs/, runny);
  expect(first.because).toBe('A film of 1.20 mm at once runs to the foot.');
  expect(causes(/^Runs/, designWith(sound)).map(({ because }) => because)).toEqual([null, null, null]);
});

test.each([
  [/^Sticky/, 'Too much colour in the resin.', [...sound, { ...coat.ink, load: 14 }]],
  [/^Bare spots/, 'No glue where glitter was poured.', [prep, coat.base, coat.glitter, coat.seal, coat.resin]],
  [/^Lifted/, 'A wall that wasn’t dulled and degreased.', sound.slice(1)],
  [/^Bumps/, 'Its edge was never closed.', [...sound, { kind: 'decal', name: 'Mark', width: 40, height: 30, centre: 60 }]],
  [/^Flakes/, 'Too little resin over the highest flakes.', [...sound.slice(0, 6), { ...coat.resin, thickness: 0.1 }]],
  [
    /^An edge/,
    'It lies on gloss, dust or finger oil.',
    [...sound, { kind: 'decal', name: 'Mark', width: 40, height: 30, centre: 60 }],
  ],
  [/^An edge/, 'The wall leans or bulges more than a flat piece can follow.', [...sound, { ...strip, width: 60, length: 320 }]],
  [
    /^A gap/,
    'The outline is no wider than the gap.',
    [...sound, { kind: 'outline', on: ['low'], film: 'hearth-foil', gap: 2, width: 1 }],
  ],
  [
    /^A gap/,
    'The mask was thick, and glue stood off its edge.',
    [{ kind: 'mask', on: ['low'] }, { kind: 'unmask', on: ['low'] }, ...sound],
  ],
  [/^Streaks/, 'A brush went over what had begun to set.', [prep, { ...coat.base, way: 'brushed' }, ...sound.slice(2)]],
  [/^Pearl or foil/, 'Resin floated it off: nothing held it.', [...sound.slice(0, 2), strip, coat.resin]],
  [/^Paper/, 'Resin soaked into it: it wasn’t sealed.', [...sound.slice(0, 2), paper, coat.resin]],
] as const)('%s: “%s” moves to the front when the design has it, and is no word of a sound one', (name, says, coats) => {
  const [first] = causes(name, designWith(coats));
  expect(first).toMatchObject({ says, because: expect.any(String) as string });
  expect(causes(name, designWith(sound)).find((cause) => cause.says === says)?.because).toBeNull();
});

test('a damp room speaks for a cloudy film, a cold one doesn’t', () => {
  const room = (change: Partial<Workshop['settings']>) => ({ ...workshop, settings: { ...workshop.settings, ...change } });
  expect(causes(/^Cloudy/, designWith(sound), room({ humidity: 82 }))[0].because).toBe('The room is at 82 % humidity.');
  expect(causes(/^Cloudy/, designWith(sound), room({ celsius: 15 }))[0].because).toBeNull();
});

test('a cold room speaks for itself', () => {
  const cold = { ...workshop, settings: { ...workshop.settings, celsius: 15 } };
  expect(causes(/^Sticky/, designWith(sound), cold)[0].says).toBe('Too cold or too damp a room.');
  expect(causes(/^Bubbles/, designWith(sound), cold)[0].because).toBe('The room is at 15.0 °C.');
});

test('with nothing that speaks for one, what it mostly is comes first, and every demo design gets an answer to each', () => {
  for (const name of ['copper-eaves', 'apiary-noon', 'peat-fire'] as const)
    for (const trouble of troubles) {
      const { design } = demoFile(name);
      const ranked = causesOf(trouble, { design, plan: planOf(design, workshop), workshop });
      const silent = ranked.filter(({ because }) => because === null).map(({ often }) => often);
      expect(silent).toEqual([...silent].sort((a, b) => b - a));
      expect(ranked.length).toBe(trouble.causes.length);
    }
});

test('dark flakes poured before light ones speak for a motif that is hardly seen', () => {
  const blends = [
    { area: 'low', parts: [{ item: 'bee-line', ml: 6 }] },
    { area: 'high', parts: [{ item: 'kiln-ash', ml: 6 }] },
  ];
  const [first] = causes(/^A motif/, designWith([prep, ...pours('high', 'low')], { blends }));
  expect(first).toMatchObject({ says: 'Dark flakes strayed into a light glue.', because: expect.any(String) as string });
  expect(causes(/^A motif/, designWith([prep, ...pours('low', 'high')], { blends }))[0].because).toBeNull();
});
