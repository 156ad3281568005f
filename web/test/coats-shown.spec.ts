import { computed, linkedSignal, signal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { designSchema, planOf, startingItem, type Design, type ShelfItem, type WallPlace } from '@aurantia/core';
import { AmountsStage } from '../src/app/design/amounts-stage/amounts-stage';
import { placeAt } from '@aurantia/core/section';
import { AsItGrows } from '../src/app/design/coats-stage/as-it-grows/as-it-grows';
import { ByClock } from '../src/app/design/coats-stage/by-clock/by-clock';
import { CutThrough } from '../src/app/design/coats-stage/cut-through/cut-through';
import { OpenDesign } from '../src/app/design/open-design';
import { PracticeNote } from '../src/app/design/practice-note/practice-note';
import { DesignSession } from '../src/app/design/session';
import { WorkshopMemory } from '../src/app/services/workshop';
import { design, labelled, memoryStub, shelf, typeInto } from './workshop';

/** Resin that is tacky for two hours, so that a night is longer than its window. */
const quick: ShelfItem = { ...startingItem('resin', 'resin'), tackFrom: 60, tackUntil: 180 } as ShelfItem;
const twice: Design = designSchema.parse({
  ...design,
  coats: [
    { kind: 'base', id: 'base', on: 'all', paint: 'paint', passes: 2 },
    { kind: 'resin', id: 'first', on: 'all', resin: 'resin', thickness: 0.4 },
    { kind: 'resin', id: 'second', on: ['low'], resin: 'resin', thickness: 0.3 },
  ],
});

function opened(given: Design) {
  const memory = memoryStub();
  memory.shelf.set(shelf.map((item) => (item.id === 'resin' ? quick : item)));
  const document = signal(given);
  const probe = signal<WallPlace | 'base' | null>(null);
  const upTo = linkedSignal<unknown, number | null>({ source: () => document().coats, computation: () => null });
  const plan = computed(() => planOf(document(), memory.workshop()));
  const change = jest.fn((by: (now: Design) => Design) => {
    document.update(by);
    return null;
  });
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({
    providers: [
      { provide: WorkshopMemory, useValue: memory },
      { provide: OpenDesign, useValue: { design: document, plan, probe, upTo } },
      { provide: DesignSession, useValue: { change } },
    ],
  });
  return { memory, document, plan, probe, upTo };
}

const words = (fixture: ComponentFixture<unknown>): string =>
  ((fixture.nativeElement as HTMLElement).textContent ?? '').replace(/\s+/g, ' ');
async function press(fixture: ComponentFixture<unknown>, text: string | RegExp): Promise<void> {
  const root = fixture.nativeElement as HTMLElement;
  const says = ({ textContent }: Element) => (textContent ?? '').trim();
  const found = [...root.querySelectorAll<HTMLElement>('button, [role=option]')].find((one) =>
    typeof text === 'string' ? says(one) === text : text.test(says(one)),
  );
  if (!found) throw new Error(`nothing to press is called ${text}`);
  found.click();
  await fixture.whenStable();
}

describe('by the clock', () => {
  async function clock() {
    const open = opened(twice);
    const fixture = TestBed.createComponent(ByClock);
    await fixture.whenStable();
    const at = async (time: string) => {
      typeInto(labelled(fixture.nativeElement as HTMLElement, 'at'), time);
      await fixture.whenStable();
    };
    return { ...open, fixture, at };
  }
  test('every coat has its hours, and the end is told', async () => {
    const { fixture, at } = await clock();
    await at('08:00');
    expect(words(fixture)).toMatch(/1 Base colour: .* 08:00–08:\d\d, ready/);
    expect(words(fixture)).toMatch(/2 Clear resin.*next before/);
    expect(words(fixture)).toContain('No window closes while everybody sleeps.');
    expect(words(fixture)).not.toMatch(/Begin \w+ \d/);
  });
  test('a window that closes at night is told, and the begin that is offered misses none', async () => {
    const { fixture, at } = await clock();
    await at('20:30');
    expect(words(fixture)).toContain('One recoat window closes while everybody sleeps');
    expect(words(fixture)).toContain('closes before anybody is up');
    await press(fixture, /^Begin \w+ \d\d:\d\d$/);
    expect(words(fixture)).toContain('No window closes while everybody sleeps.');
    expect(words(fixture)).not.toContain('closes before anybody is up');
  });
  test('who is up at night misses none', async () => {
    const { fixture, at, memory } = await clock();
    await at('20:30');
    memory.settings.update((settings) => ({ ...settings, wakes: '00:00', sleeps: '00:00' }));
    await fixture.whenStable();
    expect(words(fixture)).toContain('No window closes while everybody sleeps.');
  });
  test.each(['25:00', 'noon', '8', '-1:30', '12:61'])('“%s” is no time of day, and the begin stays', async (typed) => {
    const { fixture, at } = await clock();
    await at('08:00');
    const before = words(fixture);
    await at(typed);
    expect(words(fixture)).toContain('Write a time of day as 08:30.');
    expect(words(fixture).replace('Write a time of day as 08:30.', '')).toContain(/Done .*?\./.exec(before)?.[0] ?? 'nothing');
    await at('9.15');
    expect(words(fixture)).not.toContain('Write a time of day');
    expect(words(fixture)).toMatch(/09:15–09:\d\d/);
  });
  test('bars stand where their hours are: none before the one above it, all within the track', async () => {
    const { fixture, at } = await clock();
    await at('08:00');
    const bars = [...(fixture.nativeElement as HTMLElement).querySelectorAll<HTMLElement>('li .hands')];
    const left = bars.map(({ style }) => Number.parseFloat(style.left));
    expect(left).toHaveLength(3);
    expect(left).toEqual(left.toSorted((a, b) => a - b));
    for (const share of left) expect(share).toBeLessThanOrEqual(100);
  });
});

const spotOf = (probe: WallPlace | 'base' | null): WallPlace =>
  probe === null || probe === 'base' ? { angle: 0, height: -1 } : probe;

describe('cut through', () => {
  async function cutThrough(given: Design = twice) {
    const open = opened(given);
    const fixture = TestBed.createComponent(CutThrough);
    await fixture.whenStable();
    const titles = () =>
      [...(fixture.nativeElement as HTMLElement).querySelectorAll('li b')].map(({ textContent }) => textContent?.trim());
    return { ...open, fixture, titles };
  }
  test('coats stand as they lie, the last on top, and the probe is on the area', async () => {
    const { fixture, titles, probe, plan } = await cutThrough();
    expect(titles()).toEqual(['3. Clear resin', '2. Clear resin', expect.stringMatching(/^1\. Base colour/)]);
    expect(placeAt(plan(), spotOf(probe())).area).toBe('low');
    expect(words(fixture)).toMatch(/0\.75 mm of coats here, on Low/);
  });
  test('another place has its own', async () => {
    const { fixture, titles, probe, plan } = await cutThrough();
    await press(fixture, 'High');
    expect(titles()).toEqual(['2. Clear resin', expect.stringMatching(/^1\. Base colour/)]);
    expect(placeAt(plan(), spotOf(probe())).area).toBe('high');
  });
  test('where the probe is moved on the cup, there it is cut: on the bare lip nothing lies', async () => {
    const { fixture, titles, probe } = await cutThrough();
    probe.set({ angle: 12, height: 100 });
    await fixture.whenStable();
    expect(words(fixture)).toContain('on High');
    probe.set({ angle: 12, height: 175 });
    await fixture.whenStable();
    expect(titles()).toEqual([]);
    expect(words(fixture)).toContain('Here the wall stays bare: the bare lip.');
  });
  test('the base is pressed, for it is no spot of the wall; the probe takes it back', async () => {
    const { fixture, titles, probe } = await cutThrough();
    await press(fixture, 'base');
    expect(words(fixture)).toContain('on base');
    expect(titles()).toEqual(['2. Clear resin', expect.stringMatching(/^1\. Base colour/)]);
    probe.set({ angle: 200, height: 20 });
    await fixture.whenStable();
    expect(words(fixture)).toContain('on Low');
  });
  test('to scale, heights are as the coats are thick', async () => {
    const { fixture } = await cutThrough();
    await press(fixture, 'to scale');
    const heights = [...(fixture.nativeElement as HTMLElement).querySelectorAll<HTMLElement>('.layer')].map(({ style }) =>
      Number.parseFloat(style.height),
    );
    expect(heights[1] / heights[0]).toBeCloseTo(0.4 / 0.3, 6);
    expect(words(fixture)).toContain('1 mm');
  });
  test('without a coat there is nothing to cut, and that is said', async () => {
    const { fixture } = await cutThrough({ ...twice, coats: [] });
    expect(words(fixture)).toContain('No coat leaves anything here yet.');
    expect(words(fixture)).toContain('0.00 mm of coats here');
  });
  test('left, the cup has no probe any more', async () => {
    const { fixture, probe } = await cutThrough();
    expect(probe()).not.toBeNull();
    fixture.destroy();
    expect(probe()).toBeNull();
  });
});

describe('practice', () => {
  async function note(practice: Design['practice']) {
    const given = designSchema.parse({ ...twice, practice });
    const open = opened(given);
    const fixture = TestBed.createComponent(PracticeNote);
    const show = async () => {
      fixture.componentRef.setInput('design', open.document());
      fixture.componentRef.setInput('plan', open.plan());
      await fixture.whenStable();
    };
    await show();
    return { ...open, fixture, show };
  }
  test('what is left is told only once it is asked for', async () => {
    const { fixture } = await note({ kind: 'mistakes', rules: ['scuff first', 'film that runs'] });
    expect(words(fixture)).toContain('1 of 2');
    expect(words(fixture)).not.toContain('Still wrong');
    await press(fixture, 'Tell me what is left');
    expect(words(fixture)).toContain('Still wrong: scuff first.');
    await press(fixture, 'Hide what is left');
    expect(words(fixture)).not.toContain('Still wrong');
  });
  test('ended, the design is one like any other', async () => {
    const { fixture, document, show } = await note({ kind: 'order', order: ['base', 'first', 'second'] as never });
    expect(words(fixture)).toContain('3 of 3');
    await press(fixture, 'End the practice');
    expect('practice' in document()).toBe(false);
    await show();
    expect(words(fixture).trim()).toBe('');
  });
});

describe('amounts', () => {
  const inks: Design = designSchema.parse({
    ...design,
    coats: [
      { kind: 'ink', id: 'one', on: ['low'], resin: 'resin', ink: 'ink', thickness: 0.35, load: 1 },
      { kind: 'ink', id: 'two', on: ['high'], resin: 'resin', ink: 'ink', thickness: 0.35, load: 1 },
    ],
  });
  async function amounts(given: Design) {
    const open = opened(given);
    const fixture = TestBed.createComponent(AmountsStage);
    await fixture.whenStable();
    const take = async (cups: string) => {
      typeInto(labelled(fixture.nativeElement as HTMLElement, 'Cups alike at once'), cups);
      await fixture.whenStable();
    };
    const takes = () =>
      [...(fixture.nativeElement as HTMLElement).querySelectorAll('td.mat-column-takes')].map((one) => one.textContent?.trim());
    return { ...open, fixture, take, takes };
  }
  test('for several cups at once everything is more, and the resin less than so many times', async () => {
    const { fixture, take, takes, plan } = await amounts(twice);
    const [paint] = takes().slice(-1);
    await take('3');
    expect(words(fixture)).toMatch(/Mixed for 3 cups at once it takes [\d.]+ ml of resin less/);
    expect(parseFloat(takes().slice(-1)[0] ?? '')).toBeCloseTo(3 * parseFloat(paint ?? ''), 0);
    expect(parseFloat(takes()[0] ?? '')).toBeLessThan(3 * plan().totals.resinMl);
  });
  test('no cups, half a cup or a hundred are refused in a sentence, and nothing changes', async () => {
    const { fixture, take, takes } = await amounts(twice);
    const before = takes();
    for (const cups of ['0', '1.5', '100', '-3']) {
      await take(cups);
      expect(words(fixture)).toContain('One to 24 cups go through one pair of hands at once.');
    }
    expect(takes()).toEqual(before);
  });
  test('two coats of one resin side by side are told to be one mix', async () => {
    const { fixture } = await amounts(inks);
    expect(words(fixture)).toMatch(/Coats 1 and 2 are of .* on different areas: measure [\d.]+ ml at once/);
  });
});

describe('as it grows', () => {
  async function grows(given: Design) {
    const open = opened(given);
    const fixture = TestBed.createComponent(AsItGrows);
    await fixture.whenStable();
    const scrub = async (at: number) => {
      const thumb = (fixture.nativeElement as HTMLElement).querySelector<HTMLInputElement>('input[matSliderThumb]');
      if (!thumb) throw new Error('no thumb');
      thumb.value = String(at);
      thumb.dispatchEvent(new Event('input'));
      thumb.dispatchEvent(new Event('change'));
      await fixture.whenStable();
    };
    return { ...open, fixture, scrub };
  }
  test('the cup is finished to begin with, and as far as the slider says', async () => {
    const { fixture, scrub, upTo } = await grows(twice);
    expect(upTo()).toBeNull();
    expect(words(fixture)).toMatch(/After coat 1: Base colour/);
    await scrub(0);
    expect(upTo()).toBe(0);
    expect(words(fixture)).toContain('The wall as it comes');
    fixture.destroy();
    expect(upTo()).toBeNull();
  });
  test('a changed plan is shown whole again', async () => {
    const { fixture, scrub, upTo, document } = await grows(twice);
    await scrub(0);
    document.update((now) => ({ ...now, coats: now.coats.slice(1) }));
    await fixture.whenStable();
    expect(upTo()).toBeNull();
  });
});
