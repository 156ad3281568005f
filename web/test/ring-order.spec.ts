import { provideHttpClient } from '@angular/common/http';
import { TestBed } from '@angular/core/testing';
import { defaultSettings, designSchema, planOf, startingItem, type Design, type ShelfItem } from '@aurantia/core';
import { RingOrder } from '../src/app/design/colour-stage/ring-order/ring-order';
import { WorkshopMemory } from '../src/app/services/workshop';
import { choose, cup, labelled, memoryStub, typeInto } from './workshop';

const colours = { Red: '#c03028', Teal: '#2fb0a8', Amber: '#d07a28', Plum: '#6a2a60' };
const jars = Object.entries(colours).flatMap(([name, colour]): ShelfItem[] => {
  const jar = startingItem('glitter', name);
  return jar.kind === 'glitter' ? [{ ...jar, name, flake: { ...jar.flake, colour } }] : [];
});
const design: Design = designSchema.parse({
  version: 2,
  id: 'ring',
  name: 'Ring',
  cup,
  areas: Object.keys(colours).map((name, i) => ({
    kind: 'wedge',
    id: name,
    name,
    locked: false,
    masked: false,
    from: 90 * i,
    width: 90,
    lower: { by: 'foot', mm: 0 },
    upper: { by: 'rim', mm: 0 },
  })),
  blends: Object.keys(colours).map((name) => ({ area: name, parts: [{ item: name, ml: 3 }] })),
  coats: [],
});

async function ring() {
  TestBed.configureTestingModule({ providers: [provideHttpClient(), { provide: WorkshopMemory, useValue: memoryStub() }] });
  const fixture = TestBed.createComponent(RingOrder);
  fixture.componentRef.setInput('design', design);
  fixture.componentRef.setInput('blends', planOf(design, { settings: defaultSettings, shelf: jars }).blends);
  const ordered: (readonly string[])[] = [];
  const weighed: Readonly<Record<string, number>>[] = [];
  fixture.componentInstance.ordered.subscribe((ids) => ordered.push(ids));
  fixture.componentInstance.weighed.subscribe((weights) => weighed.push(weights));
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  const press = async (text: string) => {
    [...root.querySelectorAll('button')].find((button) => button.textContent?.trim() === text)?.click();
    await fixture.whenStable();
  };
  const set = async (label: string, value: string) => {
    typeInto(labelled(root, label), value);
    await fixture.whenStable();
  };
  const pick = async (label: string, option: string) => {
    await choose(fixture, label, option);
    await fixture.whenStable();
  };
  const names = () => [...root.querySelectorAll('tbody th')].map((cell) => cell.firstChild?.textContent?.trim());
  return { root, press, set, pick, names, ordered, weighed };
}

test('neighbours held together stand together, and let go again', async () => {
  const { root, press, pick, names } = await ring();
  await pick('Keep together', 'Red');
  await pick('and', 'Teal');
  await press('As neighbours');
  const round = [...names(), names()[0]].join(' ');
  expect(round).toMatch(/Red Teal|Teal Red/);
  await press('Red and Teal');
  expect(root.querySelector('[aria-label="Let go Red and Teal"]')).toBeNull();
});

test('three neighbours for one are refused with a sentence', async () => {
  const { root, press, pick } = await ring();
  for (const other of ['Teal', 'Amber', 'Plum']) {
    await pick('Keep together', 'Red');
    await pick('and', other);
    await press('As neighbours');
  }
  expect(root.querySelector('[role=alert]')?.textContent).toMatch(/Red is to have 3 neighbours; it has two sides/);
});

test('a section twice as wide takes from the others, in mm at foot and rim', async () => {
  const { root, press, set, weighed } = await ring();
  const before = root.textContent;
  await set('Plum, times as wide', '2');
  expect(root.textContent).not.toBe(before);
  expect(root.textContent).toMatch(/88–108 mm|88–\d+(\.\d)? mm/);
  await press('Give them these widths');
  expect(weighed).toEqual([{ Plum: 2 }]);
  await set('Plum, times as wide', '50');
  expect(root.querySelector('[role=alert]')?.textContent).toMatch(/A tenth to ten times as wide/);
});

test('the order is handed on as it stands', async () => {
  const { press, names, ordered } = await ring();
  const stands = names();
  await press('Put them in this order');
  if (stands.join() !== Object.keys(colours).join()) expect(ordered).toEqual([stands]);
  else expect(ordered).toEqual([]);
});
