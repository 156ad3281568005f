import { computed, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { designSchema, planOf, type CoatOf, type Design } from '@aurantia/core';
import type { InkDepth } from '@aurantia/core/ink-depth';
import { of, Subject, throwError } from 'rxjs';
import { InkDepthPanel } from '../src/app/design/coats-stage/ink-depth/ink-depth';
import { OpenDesign } from '../src/app/design/open-design';
import { DesignSession } from '../src/app/design/session';
import { Notices } from '../src/app/services/notices';
import { SuggestedCoats } from '../src/app/services/suggested-coats';
import { WorkshopMemory } from '../src/app/services/workshop';
import type { DepthAnswer, DepthWish } from '../src/app/workers/suggestions-request';
import { design, labelled, memoryStub, typeInto } from './workshop';

jest.mock('../src/app/workers/new-worker', () => ({}));

const tinted: Design = designSchema.parse({
  ...design,
  coats: [
    { kind: 'base', id: 'base', on: 'all', paint: 'paint', passes: 2 },
    { kind: 'ink', id: 'tint', on: 'all', resin: 'resin', ink: 'ink', thickness: 0.35, load: 1 },
  ],
});
const nearest: InkDepth = { coats: 2, drops: 7, load: 2.3, seen: '#334455', away: 1.4 };
const after = [{ place: 'low', name: 'Low', colours: ['#aabbcc', '#8899aa', '#667788'] }];

async function panel(depth: (now: Design, wish: DepthWish) => ReturnType<SuggestedCoats['depth']>) {
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
      { provide: SuggestedCoats, useValue: { depth: asked } },
    ],
  });
  const fixture = TestBed.createComponent(InkDepthPanel);
  fixture.componentRef.setInput('coat', tinted.coats[1] as CoatOf<'ink'>);
  fixture.componentRef.setInput('design', tinted);
  const settle = async () => {
    fixture.detectChanges();
    await jest.advanceTimersByTimeAsync(400);
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
  const { root, asked, words } = await panel(() => of({ after, depths: [] }));
  expect(asked).toHaveBeenCalledWith(tinted, { coat: 'tint', place: 'low', wanted: null });
  expect(words()).toContain('#8899aa');
  expect(root.querySelectorAll('li')).toHaveLength(0);
});

test('the drops for a chosen colour are told with how near they come; taken, the coat is laid so', async () => {
  const { root, asked, want, words, document } = await panel((_, { wanted }) => of({ after, depths: wanted ? [nearest] : [] }));
  await want('#2f4f6f');
  expect(asked).toHaveBeenLastCalledWith(tinted, { coat: 'tint', place: 'low', wanted: '#2f4f6f' });
  expect(words()).toMatch(/7 drops in each of two coats\s*2\.3 % of the resin; .*1\.4 away/);
  root.querySelector<HTMLElement>('li button')?.click();
  expect(document().coats.map((coat) => ('load' in coat ? coat.load : null))).toEqual([null, 2.3, 2.3]);
});

test('what is no colour is refused in a sentence, and nothing is looked for', async () => {
  const { root, asked, want } = await panel(() => of({ after, depths: [] }));
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
