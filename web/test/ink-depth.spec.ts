import { computed, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { designSchema, planOf, type CoatOf, type Design } from '@aurantia/core';
import type { InkDepth } from '@aurantia/core/ink-depth';
import type { OfferedPots } from '@aurantia/core/ink-pot';
import { NEVER, of, Subject, throwError } from 'rxjs';
import { InkDepthPanel } from '../src/app/design/coats-stage/ink-depth/ink-depth';
import { OpenDesign } from '../src/app/design/open-design';
import { DesignSession } from '../src/app/design/session';
import { Notices } from '../src/app/services/notices';
import { SuggestedCoats } from '../src/app/services/suggested-coats';
import { WorkshopMemory } from '../src/app/services/workshop';
import type { DepthAnswer, DepthWish } from '../src/app/workers/suggestions-request';
import { design, labelled, memoryStub, typeInto, timePasses } from './workshop';

const tinted: Design = designSchema.parse({
  ...design,
  coats: [
    { kind: 'base', id: 'base', on: 'all', paint: 'paint', passes: 2 },
    { kind: 'ink', id: 'tint', on: 'all', resin: 'resin', ink: 'ink', thickness: 0.35, load: 1 },
  ],
});
const nearest: InkDepth = { coats: 2, drops: 7, load: 2.3, seen: '#334455', away: 1.4 };
const after = [{ place: 'low', name: 'Low', colours: ['#aabbcc', '#8899aa', '#667788'], thin: '#bbccdd', thick: '#99aabb' }];

async function panel(
  depth: (now: Design, wish: DepthWish) => ReturnType<SuggestedCoats['depth']>,
  inks: SuggestedCoats['inks'] = () => NEVER,
) {
  jest.useFakeTimers();
  const memory = memoryStub();
  const document = signal(tinted);
  const plan = computed(() => planOf(document(), memory.workshop()));
  const change = jest.fn((by: (now: Design) => Design) => {
    document.update(by);
    return null;
  });
  const failed = jest.fn();
  const asked = jest.fn(depth);
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({
    providers: [
      { provide: WorkshopMemory, useValue: memory },
      { provide: OpenDesign, useValue: { plan } },
      { provide: DesignSession, useValue: { change } },
      { provide: Notices, useValue: { failed } },
      { provide: SuggestedCoats, useValue: { depth: asked, inks } },
    ],
  });
  const fixture = TestBed.createComponent(InkDepthPanel);
  fixture.componentRef.setInput('coat', tinted.coats[1] as CoatOf<'ink'>);
  fixture.componentRef.setInput('design', tinted);
  const settle = async () => {
    fixture.detectChanges();
    await timePasses(400);
    fixture.detectChanges();
  };
  await settle();
  const root = fixture.nativeElement as HTMLElement;
  const want = async (hex: string) => {
    typeInto(labelled(root, 'as #'), hex);
    await settle();
  };
  const words = () => (root.textContent ?? '').replace(/\s+/g, ' ');
  return { fixture, root, document, change, failed, asked, settle, want, words };
}
afterEach(() => jest.useRealTimers());

test('what one, two and three coats come to is shown, and nothing is looked for before a colour is chosen', async () => {
  const { root, asked, words } = await panel(() => of({ after, depths: [], bases: [], spread: null }));
  expect(asked).toHaveBeenCalledWith(tinted, { coat: 'tint', place: 'low', wanted: null });
  for (const hex of ['#8899aa', '#bbccdd', '#99aabb']) expect(words()).toContain(hex);
  expect(root.querySelectorAll('li')).toHaveLength(0);
});

test('the drops for a chosen colour are told with how near they come; taken, the coat is laid so', async () => {
  const { root, asked, want, words, document } = await panel((_, { wanted }) =>
    of({ after, depths: wanted ? [nearest] : [], bases: [], spread: null }),
  );
  await want('#2f4f6f');
  expect(asked).toHaveBeenLastCalledWith(tinted, { coat: 'tint', place: 'low', wanted: '#2f4f6f' });
  expect(words()).toMatch(/7 drops in each of two coats\s*2\.3 % of the resin; .*1\.4 away/);
  root.querySelector<HTMLElement>('li button')?.click();
  expect(document().coats.map((coat) => ('load' in coat ? coat.load : null))).toEqual([null, 2.3, 2.3]);
});

test('what is no colour is refused in a sentence, and nothing is looked for', async () => {
  const { root, asked, want } = await panel(() => of({ after, depths: [], bases: [], spread: null }));
  const before = asked.mock.calls.length;
  await want('#12');
  expect(root.querySelector('[role=alert]')?.textContent).toMatch(/\w/);
  expect(asked.mock.calls.length).toBe(before);
});

test('while it is worked out that is said; what went wrong is told', async () => {
  const never = new Subject<DepthAnswer>();
  expect((await panel(() => never)).words()).toContain('working it out…');
  const { failed } = await panel(() => throwError(() => new Error('It can’t be told.')));
  expect(failed).toHaveBeenCalledTimes(1);
});

test('which inks: told while they are looked for, offered as far as known, taken as they are, and said to be the nearest', async () => {
  const known = new Subject<OfferedPots>();
  const { root, want, words, document, settle } = await panel(
    () => of({ after, depths: [], bases: [], spread: null }),
    () => known,
  );
  await want('#2f4f6f');
  expect(words()).toContain('looking through the inks…');
  const ink = { ink: 'ink', name: 'Tarn', drops: 3, dose: 'drop', load: 1.2 } as const;
  const other = { ink: 'other', name: 'Fog', drops: 1, dose: 'scoop', load: 0.4 } as const;
  const pots = [
    { inks: [ink], load: 1.2, seen: '#304050', away: 4.2 },
    { inks: [ink, other], load: 1.6, seen: '#2f4e6e', away: 0.4 },
  ] as unknown as OfferedPots['pots'];
  known.next({ pots: pots.slice(0, 1), progress: 0.5, over: false });
  await settle();
  expect(words()).toContain('looking through the inks, 50 %');
  known.next({ pots, progress: 1, over: true });
  await settle();
  expect(words()).toMatch(/3 drops of Tarn and 1 scoop of Fog\s*1\.6 % of the resin; .*0\.4 away/);
  expect(words()).toContain('No drops of these inks come nearer in one coat. A further ink comes no nearer');
  root.querySelector<HTMLElement>('li:last-child button')?.click();
  expect(document().coats[1]).toMatchObject({ ink: 'ink', load: 1.2, also: [{ ink: 'other', load: 0.4 }] });
});

test('an empty shelf is said, and so is what went wrong while looking', async () => {
  const none = await panel(
    () => of({ after, depths: [], bases: [], spread: null }),
    () => of({ pots: [], progress: 1, over: true }),
  );
  await none.want('#2f4f6f');
  expect(none.words()).toContain('There is no ink on the shelf, or no resin in this coat.');
  const failing = await panel(
    () => of({ after, depths: [], bases: [], spread: null }),
    () => throwError(() => new Error('It can’t be told.')),
  );
  await failing.want('#2f4f6f');
  expect(failing.failed).toHaveBeenCalledTimes(1);
});

test('how sure it is, and the same over other bases, are told beside it', async () => {
  const best = { why: 'best', paint: 'black', name: 'Soft black', under: '#1c1c1e', seen: '#504838', shows: 14 } as unknown;
  const { words } = await panel(() =>
    of({
      after,
      depths: [],
      bases: [best as DepthAnswer['bases'][number]],
      spread: { away: 4.23, says: 'Most of it is the film.' },
    }),
  );
  expect(words()).toMatch(/sure to ± 4\.2 ΔE\s?\. Most of it is the film\./);
  expect(words()).toMatch(/Over other bases\s*Soft black\s*where it shows most: far apart/);
});
