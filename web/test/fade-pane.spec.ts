import { provideHttpClient } from '@angular/common/http';
import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import {
  defaultSettings,
  designSchema,
  faultsOf,
  planOf,
  startingItem,
  type AreaId,
  type Design,
  type Fade,
  type ShelfItem,
} from '@aurantia/core';
import { withFade, withFadeBegun, withWeighedPot } from '@aurantia/core';
import { FadeBars } from '../src/app/design/colour-stage/fade/fade-bars';
import { FadePane } from '../src/app/design/colour-stage/fade/fade-pane';
import { FadePots } from '../src/app/design/colour-stage/fade/fade-pots';
import { DesignSession } from '../src/app/design/session';
import { WorkshopMemory } from '../src/app/services/workshop';
import { choose, design, labelled, memoryStub, shelf, typeInto } from './workshop';

const LOW = 'low' as AreaId;
const jarOf = (id: string, name: string, colour: string): ShelfItem => {
  const jar = startingItem('glitter', id);
  return jar.kind === 'glitter' ? { ...jar, name, flake: { ...jar.flake, colour } } : jar;
};
const jars = [...shelf.slice(1), jarOf('jar', 'Pale', '#f0e0b0'), jarOf('dark', 'Dark', '#402010')];
const begun = withFade(withFadeBegun(design, LOW, 1.5), LOW, (fade) => ({
  ...fade,
  stops: [fade.stops[0], { ...fade.stops[1], parts: [{ item: 'dark' as never, ml: 1 }], cover: 1 }],
}));

/** The pane over a session that takes every sound change, as the workspace has it. */
async function pane(from: Design = begun) {
  const memory = memoryStub();
  memory.shelf.set(jars);
  const document = signal(from);
  const ended = jest.fn();
  const change = (edit: (one: Design) => Design): string | null => {
    const read = designSchema.safeParse(edit(document()));
    if (!read.success) return faultsOf(read.error)[0].sentence;
    document.set(read.data);
    return null;
  };
  TestBed.configureTestingModule({
    providers: [
      provideHttpClient(),
      { provide: WorkshopMemory, useValue: memory },
      { provide: DesignSession, useValue: { change, endGesture: ended, fix: jest.fn() } },
    ],
  });
  const fixture = TestBed.createComponent(FadePane);
  const show = async () => {
    const plan = planOf(document(), { settings: defaultSettings, shelf: jars });
    for (const [name, value] of Object.entries({
      design: document(),
      plan,
      fade: document().fades[0],
      planned: plan.fades[0],
      others: plan.blends,
      beside: '',
    }))
      fixture.componentRef.setInput(name, value);
    await fixture.whenStable();
  };
  await show();
  const root = fixture.nativeElement as HTMLElement;
  const press = async (text: string) => {
    [...root.querySelectorAll('button')].find((button) => button.textContent?.trim() === text)?.click();
    await show();
  };
  const pick = async (label: string, option: string) => {
    await choose(fixture, label, option);
    await show();
  };
  return { root, show, press, pick, ended, fade: (): Fade | undefined => document().fades[0], document };
}

test('the verdict, the pots and the strip stand there at once', async () => {
  const { root } = await pane();
  expect(root.querySelector('.verdict')?.textContent).toMatch(/This will show\.\s+Its colours are \d+ apart/);
  expect(root.querySelectorAll('au-fade-pots li')).toHaveLength(5);
  expect(root.querySelector('a[matbutton=filled]')?.getAttribute('href')).toBe(
    '/api/designs/d/template.pdf?what=fade+low&gap=1&overlap=5&straight=false',
  );
});

test('ways, pots and depth are kept as they are chosen', async () => {
  const { root, show, pick, fade } = await pane();
  await pick('Direction', 'from the middle both ways');
  await pick('Pots', '3');
  typeInto(labelled(root, 'Depth, full cover'), '2,5');
  await show();
  expect(fade()).toMatchObject({ way: 'middle', pots: 3, depth: 2.5 });
  expect([...root.querySelectorAll('au-fade-pots li')].at(-1)?.textContent).toMatch(/at [\d.]+–[\d.]+ mm and [\d.]+–[\d.]+ mm/);
});

test('turns are asked for along a spiral only', async () => {
  const { root, pick } = await pane();
  expect(() => labelled(root, 'Turns')).toThrow();
  await pick('Direction', 'along a spiral');
  expect(labelled(root, 'Turns').value).toBe('2');
});

test('a stop typed past the next one is refused beside it, and the last good place stays', async () => {
  const { root, show, fade } = await pane();
  typeInto(labelled(root, 'Stop 1 at'), '100');
  await show();
  expect(root.querySelector('au-fade-stop [role=alert]')?.textContent).toMatch(/Stop 2 must lie after stop 1/);
  expect(fade()?.stops[0].at).toBe(0);
});

test('stops are added, thinned out and taken away; two always stay', async () => {
  const { root, show, press, fade } = await pane();
  expect(root.querySelector('[aria-label="Take stop 1 out"]')).toBeNull();
  await press('Add a stop');
  expect(fade()?.stops.map(({ at }) => at)).toEqual([0, 0.5, 1]);
  typeInto(labelled(root, 'Stop 3 covers'), '0');
  await show();
  expect(fade()?.stops[2].cover).toBe(0);
  root.querySelector<HTMLButtonElement>('[aria-label="Take stop 2 out"]')?.click();
  await show();
  expect(fade()?.stops).toHaveLength(2);
});

test('turned round, as a fall, begun with excess, and back to one blend', async () => {
  const { root, show, press, fade, document } = await pane();
  await press('Turn round');
  expect(fade()?.stops.map(({ parts }) => parts[0].item)).toEqual(['dark', 'jar']);
  root.querySelector<HTMLInputElement>('au-tick input')?.click();
  await show();
  expect(fade()?.castOff).toBe(true);
  await press('Fall from the rim');
  expect(fade()).toMatchObject({ way: 'down', stops: [{ cover: 1 }, {}, {}, { cover: 0 }] });
  root.querySelector<HTMLButtonElement>('.heads button:last-child[matbutton=""]')?.click();
  expect(document().fades).toEqual([]);
  expect(document().blends).toEqual(design.blends);
});

test('a base under a stop makes the coat lay it, and the pane says where', async () => {
  const { root, pick, document } = await pane();
  await pick('Base under stop 1', jars.find(({ id }) => id === 'paint')?.name ?? '');
  expect(document().coats[0]).toMatchObject({ kind: 'base', fading: true });
  expect(root.textContent).toMatch(/Base: 0–[\d.]+ mm/);
});

test('a layout that can’t be says why, and nothing else breaks', async () => {
  const { root } = await pane(withFade(begun, LOW, (fade) => ({ ...fade, pots: 20, overlap: 30 })));
  expect(root.querySelector('.verdict.stop')?.textContent).toMatch(/can’t be laid so\.\s+.*less overlap/);
  expect(root.querySelector('au-fade-pots')).toBeNull();
});

describe('the bars', () => {
  async function bars() {
    const plan = planOf(begun, { settings: defaultSettings, shelf: jars });
    const fixture = TestBed.createComponent(FadeBars);
    fixture.componentRef.setInput('fade', begun.fades[0]);
    fixture.componentRef.setInput('planned', plan.fades[0]);
    const dragged: { stop: number; at: number }[] = [];
    const done = jest.fn();
    fixture.componentInstance.dragged.subscribe((one) => dragged.push(one));
    fixture.componentInstance.done.subscribe(done);
    await fixture.whenStable();
    const stops = [...(fixture.nativeElement as HTMLElement).querySelectorAll<HTMLElement>('[role=slider]')];
    return { root: fixture.nativeElement as HTMLElement, stops, dragged, done };
  }
  test('arrow keys step a stop by a hundredth of the way, five with Shift', async () => {
    const { stops, dragged, done } = await bars();
    stops[1].dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowLeft' }));
    stops[1].dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', shiftKey: true }));
    stops[1].dispatchEvent(new KeyboardEvent('keydown', { key: 'a' }));
    stops[1].dispatchEvent(new KeyboardEvent('keyup', { key: 'ArrowLeft' }));
    expect(dragged.map(({ stop }) => stop)).toEqual([1, 1]);
    expect(dragged.map(({ at }) => at)).toEqual([0.99, 1.05]);
    expect(done).toHaveBeenCalledTimes(1);
  });
  test('say how far each pot is from the one before, yours over equal spoons', async () => {
    const { root, stops } = await bars();
    expect(stops.map((stop) => stop.getAttribute('aria-valuetext'))).toEqual(['0.0 % of the way', '100.0 % of the way']);
    const figures = [...root.querySelectorAll('.bar')].map((bar) => [...bar.querySelectorAll('b')].map((one) => one.textContent));
    expect(figures).toHaveLength(2);
    for (const row of figures) {
      expect(row[0]).toBe('');
      for (const figure of row.slice(1)) expect(figure).toMatch(/^\d+\.\d$/);
    }
    expect(figures[0]).not.toEqual(figures[1]);
  });
});

test('pots read in the maker’s units', async () => {
  const memory = memoryStub();
  memory.settings.update((one) => ({ ...one, units: { ...one.units, length: 'inch', amount: 'gram' } }));
  TestBed.configureTestingModule({ providers: [provideHttpClient(), { provide: WorkshopMemory, useValue: memory }] });
  const fixture = TestBed.createComponent(FadePots);
  fixture.componentRef.setInput('planned', planOf(begun, { settings: defaultSettings, shelf: jars }).fades[0]);
  await fixture.whenStable();
  const [first] = (fixture.nativeElement as HTMLElement).querySelectorAll('li');
  expect(first.textContent).toMatch(/Pot 1: [\d.]+ g\s*[\d.]+ g Pale\s*at 0\.00–[\d.]+ in/);
});

test('pots that were weighed are named, and are as the stops say again where that is pressed', async () => {
  const parts = [{ item: 'dark' as never, ml: 0.8 }];
  const { root, fade, press } = await pane(withFade(begun, LOW, (one) => withWeighedPot(one, { pot: 1, parts })));
  expect(root.textContent).toContain('Pot 2 is as it was weighed at a cup');
  const pots = [...root.querySelectorAll('au-fade-pots li')].map(({ textContent }) => textContent);
  expect(pots.map((text) => text.includes('as weighed at a cup'))).toEqual(pots.map((_, i) => i === 1));
  await press('As the stops say');
  expect(fade()?.weighed).toBeUndefined();
  expect(root.textContent).not.toContain('as it was weighed');
});
