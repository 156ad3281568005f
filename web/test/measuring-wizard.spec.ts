import { provideHttpClient } from '@angular/common/http';
import { TestBed } from '@angular/core/testing';
import { cupKinds, cupSchema, cupShapes, type Cup } from '@aurantia/core';
import { MeasuringWizard } from '../src/app/places/cups/measuring-wizard';
import { WorkshopMemory } from '../src/app/services/workshop';
import { labelled, memoryStub, typeInto } from './workshop';

async function wizard() {
  TestBed.configureTestingModule({ providers: [provideHttpClient(), { provide: WorkshopMemory, useValue: memoryStub() }] });
  const fixture = TestBed.createComponent(MeasuringWizard);
  const given: Cup[] = [];
  fixture.componentInstance.measured.subscribe((cup) => given.push(cup));
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  const press = async (text: string) => {
    const button = [...root.querySelectorAll('button')].find(
      (one) => (one.querySelector('b') ?? one).textContent?.trim() === text,
    );
    if (!button) throw new Error(`no ${text}`);
    button.click();
    await fixture.whenStable();
  };
  const type = async (label: string, text: string) => {
    typeInto(labelled(root, label), text);
    await fixture.whenStable();
  };
  const says = () => root.textContent ?? '';
  return { root, given, press, type, says };
}

test.each(cupShapes)('%s: every reading is asked for with where to put the tape, and a sound cup comes out', async (shape) => {
  const { given, press, says } = await wizard();
  await press(cupKinds[shape].name);
  let asked = 0;
  while (!says().includes('Name of the cup')) {
    asked += 1;
    expect(says()).toMatch(new RegExp(`Reading ${asked} of \\d`));
    expect(says()).toMatch(/tape|thread/);
    await press('Next');
  }
  expect(asked).toBeGreaterThanOrEqual(cupKinds[shape].least);
  await press('Keep this cup');
  expect(given).toHaveLength(1);
  expect(given[0].shape).toBe(shape);
  expect(cupSchema.safeParse(given[0]).success).toBe(true);
  expect(given[0].handle !== null).toBe(shape === 'mug');
});

test('a reading that can’t be stops the way until it is mended; nothing is kept before the end', async () => {
  const { root, given, press, type, says } = await wizard();
  await press('Tapered');
  await type('The tape reads', '55');
  expect(says()).toContain('Was the diameter typed?');
  const next = () => [...root.querySelectorAll('button')].find((one) => one.textContent?.trim() === 'Next');
  expect(next()?.disabled).toBe(true);
  await type('The tape reads', '221');
  expect(next()?.disabled).toBe(false);
  await press('Next');
  await type('Height above the foot', '203');
  await type('The tape reads', '291');
  await press('Back');
  await press('Next');
  await press('Next');
  expect(given).toEqual([]);
  await type('Name of the cup', 'Ours');
  await type('Holds, as sold', '4000');
  expect(says()).toMatch(/less than the 4000 ml it holds/);
  await press('Keep this cup');
  expect(given[0]).toMatchObject({
    name: 'Ours',
    stations: [
      { height: 0, circumference: 221 },
      { height: 203, circumference: 291 },
    ],
  });
});

test('the drawing marks the reading in hand', async () => {
  const { root, press } = await wizard();
  await press('Plump');
  expect(root.querySelectorAll('.take .tape')).toHaveLength(5);
  expect(root.querySelector('.take text.on')?.textContent).toBe('1');
  await press('Next');
  expect(root.querySelector('.take text.on')?.textContent).toBe('2');
});
