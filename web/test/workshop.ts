import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { computed, signal, type WritableSignal } from '@angular/core';
import type { ComponentFixture } from '@angular/core/testing';
import { MatSelectHarness } from '@angular/material/select/testing';
import {
  startingCup,
  defaultSettings,
  startingItem,
  type Cup,
  type Design,
  type Settings,
  type ShelfAnswer,
  type ShelfItem,
  type ShelfWish,
  designSchema,
} from '@aurantia/core';
import { finalize, of, Subject } from 'rxjs';

export const cup: Cup = {
  ...startingCup,
  name: 'Cup',
  shape: 'tapered',
  material: 'steel',
  lipStrip: 10,
  volume: null,
  stations: [
    { height: 0, circumference: 220 },
    { height: 180, circumference: 280 },
  ],
};

/** A two-band design with a base, a glue, glitter and resin. */
export const design: Design = designSchema.parse({
  version: 1,
  id: 'd',
  name: 'Design',
  cup,
  areas: [
    { kind: 'band', id: 'low', name: 'Low', from: 0, to: 80 },
    { kind: 'band', id: 'high', name: 'High', from: 80, to: 170 },
  ],
  blends: [{ area: 'low', parts: [{ item: 'jar', ml: 4 }] }],
  coats: [
    { kind: 'base', id: 'base', on: 'all', paint: 'paint', passes: 2 },
    { kind: 'glitter', id: 'glitter', on: 'all' },
    { kind: 'resin', id: 'resin', on: ['low'], resin: 'resin', thickness: 0.4 },
  ],
});

export const shelf: readonly ShelfItem[] = [
  startingItem('glitter', 'jar'),
  startingItem('paint', 'paint'),
  startingItem('resin', 'resin'),
  startingItem('ink', 'ink'),
  startingItem('glue', 'glue'),
];

/** The workshop's memory as the components see it, without a server. */
export function memoryStub(on: readonly ShelfItem[] = shelf) {
  const settings: WritableSignal<Settings> = signal(defaultSettings);
  const items = signal(on);
  return {
    settings,
    shelf: items,
    loaded: signal(true),
    units: computed(() => settings().units),
    workshop: computed(() => ({ settings: settings(), shelf: [...items()] })),
    putItem: jest.fn((item: ShelfItem) => of(item)),
    addItem: jest.fn((item: ShelfItem) => of(item)),
    moveItem: jest.fn((id: string) => of(items().find((one) => one.id === id))),
  };
}

/** Changes a field as a maker would: type, then leave it. */
export function typeInto(element: Element | null | undefined, text: string): void {
  const field = element as HTMLInputElement;
  field.value = text;
  field.dispatchEvent(new Event('input'));
  field.dispatchEvent(new Event('change'));
}

/** A field by what its label says. */
export function labelled(root: HTMLElement, label: string): HTMLInputElement {
  const found = [...root.querySelectorAll('label')].find(
    (one) => (one.querySelector('span') ?? one).textContent?.trim() === label,
  );
  if (!found) throw new Error(`no field is called “${label}”`);
  const id = found.getAttribute('for');
  return (id ? root.querySelector(`[id="${id}"]`) : found.querySelector('input, select, textarea')) as HTMLInputElement;
}

/** A drop-down by what its label says. */
export async function pickOf(fixture: ComponentFixture<unknown>, label: string): Promise<MatSelectHarness> {
  const root = fixture.nativeElement as HTMLElement;
  const found = [...root.querySelectorAll('au-pick')].find((one) => one.querySelector('span')?.textContent?.trim() === label);
  if (!found) throw new Error(`no list is called “${label}”`);
  const selector = `[aria-labelledby~="${found.querySelector('span')?.id ?? ''}"]`;
  return TestbedHarnessEnvironment.documentRootLoader(fixture).getHarness(MatSelectHarness.with({ selector }));
}

/** Takes an option of a drop-down by its words. */
export const choose = async (fixture: ComponentFixture<unknown>, label: string, option: string | RegExp): Promise<void> =>
  (await pickOf(fixture, label)).clickOptions({ text: option });

/** Searches of the shelf that answer when they are told to. */
export function mixesStub() {
  const asked: { wish: ShelfWish; answers: Subject<ShelfAnswer>; stopped: boolean }[] = [];
  const find = (wish: ShelfWish) => {
    const one = { wish, answers: new Subject<ShelfAnswer>(), stopped: false };
    asked.push(one);
    return one.answers.pipe(finalize(() => (one.stopped = true)));
  };
  return { asked, find };
}

/** A moment by Node's own clock, also where a test has taken the clocks away. */
const moment = (
  (soon) => () =>
    new Promise<void>((resolve) => soon(resolve))
)(setImmediate);

/** Lets time pass by a test's clock, step by step: what was promised comes true in between, and may wait for a later step. */
export async function timePasses(ms: number): Promise<void> {
  const steps = 10;
  for (let step = 0; step < steps; step++) {
    await moment();
    jest.advanceTimersByTime(ms / steps);
  }
  await moment();
}
