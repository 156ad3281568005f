import { computed, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { planOf, type Design, type Otherwise } from '@aurantia/core';
import { of } from 'rxjs';
import { CoatsStage } from '../src/app/design/coats-stage/coats-stage';
import { Suggestions } from '../src/app/design/coats-stage/suggestions/suggestions';
import { OpenDesign } from '../src/app/design/open-design';
import { DesignSession } from '../src/app/design/session';
import { KeptDesigns } from '../src/app/services/kept-designs';
import { Notices } from '../src/app/services/notices';
import { PracticeDesigns } from '../src/app/services/practice';
import { SuggestedCoats } from '../src/app/services/suggested-coats';
import { WorkshopMemory } from '../src/app/services/workshop';
import type { SuggestionsRequest } from '../src/app/workers/suggestions-request';
import { cup, design, memoryStub, timePasses } from './workshop';

/** A worker that answers when it is told to. */
class SlowWorker {
  static readonly all: SlowWorker[] = [];
  onmessage: ((event: { data: unknown }) => void) | null = null;
  onerror: ((event: { message: string }) => void) | null = null;
  asked: SuggestionsRequest | null = null;
  times = 0;
  ended = false;
  constructor() {
    SlowWorker.all.push(this);
  }
  postMessage(request: SuggestionsRequest) {
    this.asked = request;
    this.times++;
  }
  terminate() {
    this.ended = true;
  }
}
Object.assign(globalThis, { Worker: SlowWorker });
const latest = () => SlowWorker.all[SlowWorker.all.length - 1];

const failed = jest.fn();
const said = jest.fn();
const fix = jest.fn();
const create = jest.fn((document: Design) => of({ document, revision: 1, keptAt: '2026-01-01T10:00:00.000Z' }));
const navigate = jest.fn();
let memory: ReturnType<typeof memoryStub>;
const document = signal(design);
const change = (by: (now: Design) => Design) => {
  document.update(by);
  return null;
};

beforeEach(() => {
  jest.useFakeTimers();
  for (const mock of [failed, said, fix, create, navigate]) mock.mockClear();
  SlowWorker.all.length = 0;
  document.set(design);
  memory = memoryStub();
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({
    providers: [
      { provide: WorkshopMemory, useValue: { ...memory, cups: signal([{ cup }]) } },
      { provide: Notices, useValue: { failed, say: said } },
      { provide: DesignSession, useValue: { fix, change } },
      {
        provide: OpenDesign,
        useValue: {
          design: document,
          plan: computed(() => planOf(document(), memory.workshop())),
          openCoat: signal(null),
        },
      },
      { provide: KeptDesigns, useValue: { create } },
      { provide: Router, useValue: { navigate } },
    ],
  });
});
afterEach(() => jest.useRealTimers());

describe('a plan is suggested by a worker', () => {
  test('which gets the design and the workshop, answers once and is at hand for the next question, for a minute', () => {
    const plans: Design[] = [];
    TestBed.inject(SuggestedCoats)
      .whole(design)
      .subscribe((plan) => plans.push(plan));
    expect(latest().asked).toEqual({ wants: 'whole', design, workshop: memory.workshop() });
    const whole = { ...design, coats: [] };
    latest().onmessage?.({ data: { whole } });
    expect(plans).toEqual([whole]);
    TestBed.inject(SuggestedCoats).otherwise(design).subscribe();
    expect(SlowWorker.all).toHaveLength(1);
    expect(latest().asked).toMatchObject({ wants: 'otherwise' });
    latest().onmessage?.({ data: { otherwise: [] } });
    expect(latest().ended).toBe(false);
    jest.advanceTimersByTime(60_000);
    expect(latest().ended).toBe(true);
    TestBed.inject(SuggestedCoats).otherwise(design).subscribe();
    expect(SlowWorker.all).toHaveLength(2);
  });
  test.each([
    ['can’t', (worker: SlowWorker) => worker.onmessage?.({ data: { sentence: 'Its areas can’t be told apart.' } })],
    ['never came', (worker: SlowWorker) => worker.onerror?.({ message: 'Its areas can’t be told apart.' })],
  ])('one that %s says so in a sentence', (_, fails) => {
    const sentences: string[] = [];
    TestBed.inject(SuggestedCoats)
      .otherwise(design)
      .subscribe({ error: (error: Error) => sentences.push(error.message) });
    fails(latest());
    expect(sentences).toEqual([expect.stringContaining('Its areas can’t be told apart.')]);
  });
  test('asked while it works, another one is; of two at rest one is kept', () => {
    const answers: unknown[] = [];
    for (let i = 0; i < 2; i++)
      TestBed.inject(SuggestedCoats)
        .otherwise(design)
        .subscribe((answer) => answers.push(answer));
    expect(SlowWorker.all).toHaveLength(2);
    for (const one of SlowWorker.all) one.onmessage?.({ data: { otherwise: [] } });
    expect(answers).toHaveLength(2);
    expect(SlowWorker.all.map(({ ended }) => ended)).toEqual([false, true]);
  });
  test('nobody waits for: it is ended', () => {
    TestBed.inject(SuggestedCoats).otherwise(design).subscribe().unsubscribe();
    expect(latest().ended).toBe(true);
  });
});

describe('a plan of coats suggested where there were none', () => {
  function asked() {
    document.set({ ...design, coats: [] });
    const fixture = TestBed.createComponent(CoatsStage);
    fixture.detectChanges();
    const root = fixture.nativeElement as HTMLElement;
    [...root.querySelectorAll('button')].find(({ textContent }) => textContent?.trim() === 'Suggest the coats')?.click();
    fixture.detectChanges();
    expect(root.querySelector('.empty button')?.textContent?.trim()).toBe('Thinking it over…');
    const come = async () => {
      latest().onmessage?.({ data: { whole: design } });
      await timePasses(500);
      fixture.detectChanges();
      return root.textContent ?? '';
    };
    return come;
  }
  test('is laid', async () => {
    const come = asked();
    expect(await come()).not.toContain('What I’d do otherwise');
    expect(document().coats).toEqual(design.coats);
  });
  test('that comes once one was laid by hand leaves it, and is told beside it', async () => {
    const come = asked();
    const byHand = design.coats.slice(1, 2);
    document.update((now) => ({ ...now, coats: byHand }));
    expect(await come()).toContain('What I’d do otherwise');
    expect(document().coats).toEqual(byHand);
  });
});

describe('what it would do otherwise', () => {
  const thick: Otherwise = {
    says: 'Leave out “Glue”.',
    fix: { does: 'remove coat', label: 'Take it out', coat: 'resin' as never },
  };
  async function shown() {
    const fixture = TestBed.createComponent(Suggestions);
    fixture.detectChanges();
    await timePasses(500);
    const answer = async (otherwise: readonly Otherwise[]) => {
      latest().onmessage?.({ data: { otherwise } });
      await timePasses(500);
      fixture.detectChanges();
    };
    const words = () => ((fixture.nativeElement as HTMLElement).textContent ?? '').replace(/\s+/g, ' ');
    return { fixture, answer, words };
  }
  test('is thought over, then told; a press takes just that', async () => {
    const { fixture, answer, words } = await shown();
    expect(words()).toContain('Thinking it over…');
    await answer([thick]);
    expect(words()).toContain('Leave out “Glue”.');
    const [, take] = (fixture.nativeElement as HTMLElement).querySelectorAll('button');
    take.click();
    expect(fix).toHaveBeenCalledWith(thick.fix);
  });
  test('is nothing where all is as suggested', async () => {
    const { answer, words } = await shown();
    await answer([]);
    expect(words()).toContain('These coats do all that I’d suggest');
  });
  test('is thought over anew after a change, and only what is wanted last counts', async () => {
    const { fixture, answer, words } = await shown();
    await answer([thick]);
    document.update((now) => ({ ...now, name: 'Changed' }));
    document.update((now) => ({ ...now, name: 'Changed again' }));
    fixture.detectChanges();
    await timePasses(500);
    expect(latest().times).toBe(2);
    expect(latest().asked?.design.name).toBe('Changed again');
    // Until the answer comes, what was thought before stays.
    expect(words()).toContain('Leave out “Glue”.');
  });
  test('that can’t be worked out is told once, and a later change is thought over all the same', async () => {
    const { fixture, answer, words } = await shown();
    latest().onmessage?.({ data: { sentence: 'No plan can be suggested.' } });
    expect(failed).toHaveBeenCalledTimes(1);
    document.update((now) => ({ ...now, name: 'Changed' }));
    fixture.detectChanges();
    await timePasses(500);
    await answer([]);
    expect(words()).toContain('These coats do all that I’d suggest');
  });
});

describe('practice', () => {
  test('six mistakes are a design of their own, opened at its coats', () => {
    TestBed.inject(PracticeDesigns).mistakes();
    const [made] = create.mock.calls[0];
    expect(made).toMatchObject({ name: 'Practice: six mistakes', practice: { kind: 'mistakes' } });
    expect(navigate).toHaveBeenCalledWith(['/designs', made.id, 'coats']);
  });
  test('a shelf that lacks something is told what it wants, and nothing is made', () => {
    memory.shelf.update((items) => items.filter(({ kind }) => kind !== 'glue'));
    TestBed.inject(PracticeDesigns).mistakes();
    expect(create).not.toHaveBeenCalled();
    expect(said.mock.calls[0][0]).toMatch(/Put typical materials there first\./);
  });
  test('coats to put in order are a copy’s; two coats are too few', () => {
    TestBed.inject(PracticeDesigns).order(design);
    const [made] = create.mock.calls[0];
    expect(made.id).not.toBe(design.id);
    expect(made.coats.map(({ id }) => id).sort()).toEqual(design.coats.map(({ id }) => id).sort());
    create.mockClear();
    TestBed.inject(PracticeDesigns).order({ ...design, coats: design.coats.slice(0, 2) });
    expect(create).not.toHaveBeenCalled();
    expect(said).toHaveBeenCalledTimes(1);
  });
});
