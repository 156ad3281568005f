import { provideHttpClient } from '@angular/common/http';
import { TestBed } from '@angular/core/testing';
import type { Cup } from '@aurantia/core';
import { CupSheet } from '../src/app/parts/cup-sheet/cup-sheet';
import { WorkshopMemory } from '../src/app/services/workshop';
import { cup, labelled, memoryStub, typeInto } from './workshop';

async function sheet(start: Cup = cup) {
  TestBed.configureTestingModule({ providers: [provideHttpClient(), { provide: WorkshopMemory, useValue: memoryStub() }] });
  const fixture = TestBed.createComponent(CupSheet);
  const given: Cup[] = [];
  fixture.componentInstance.cupChange.subscribe((one) => given.push(one));
  fixture.componentRef.setInput('cup', start);
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  const type = async (label: string, text: string) => {
    typeInto(labelled(root, label), text);
    await fixture.whenStable();
  };
  const press = async (text: string) => {
    const says = (button: HTMLButtonElement) => button.ariaLabel ?? button.textContent?.trim() ?? '';
    [...root.querySelectorAll('button')].find((button) => says(button).startsWith(text))?.click();
    await fixture.whenStable();
  };
  const alerts = () => [...root.querySelectorAll('[role=alert]')].map((one) => one.textContent?.trim());
  return { root, given, type, press, alerts };
}

test('a reading typed is a cup given', async () => {
  const { given, type } = await sheet();
  await type('Circumference at the rim', '291');
  expect(given).toEqual([{ ...cup, stations: [cup.stations[0], { height: 180, circumference: 291 }] }]);
});

test('a faulty reading has its sentence, gives nothing, and a second good one doesn’t hide it', async () => {
  const { given, type, alerts } = await sheet();
  await type('Circumference at the foot', '42');
  expect(alerts()).toEqual(['The tape can’t read less than 60 mm round a cup. Was the diameter typed?']);
  await type('Circumference at the rim', '291');
  expect(given).toEqual([]);
  await type('Circumference at the foot', '215');
  expect(alerts()).toEqual([]);
  expect(given).toHaveLength(1);
  expect(given[0].stations.map((station) => station.circumference)).toEqual([215, 291]);
});

test.each(['-5', '999999999', 'x', ''])('a reading that can’t be (“%s”) leaves the drawing as it was', async (wrong) => {
  const { root, type, alerts } = await sheet();
  const drawn = () => [...root.querySelectorAll('au-tape-drawing :is(path, ellipse, text)')].map((one) => one.outerHTML);
  const before = drawn();
  expect(before).toHaveLength(1 + 2 + 2);
  await type('Circumference at the rim', wrong);
  expect(alerts()).toHaveLength(1);
  expect(drawn()).toEqual(before);
});

test('a plump cup takes readings between, up to six in all', async () => {
  const { root, given, press } = await sheet();
  await press('Plump');
  expect(given.at(-1)).toMatchObject({ shape: 'curved', stations: [{}, { height: 90, circumference: 250 }, {}] });
  for (let more = 0; more < 3; more += 1) await press('Add a reading between');
  expect(given.at(-1)?.stations).toHaveLength(6);
  expect([...root.querySelectorAll('button')].some((button) => button.textContent?.includes('Add a reading'))).toBe(false);
  await press('Take out');
  expect(given.at(-1)?.stations).toHaveLength(5);
});

test('a straight cup asks for one circumference', async () => {
  const { given, press, type } = await sheet();
  await press('Straight');
  await type('Circumference at the foot', '238');
  expect(given.at(-1)?.stations.map((station) => station.circumference)).toEqual([238, 238]);
});

test('what it holds may be left open', async () => {
  const { given, type } = await sheet({ ...cup, volume: 700 });
  await type('Holds, as sold', '');
  expect(given.at(-1)?.volume).toBeNull();
});
