import { provideHttpClient } from '@angular/common/http';
import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { metricUnits, type Measure, type Units } from '@aurantia/core';
import { NumberField } from '../src/app/parts/fields/number-field';
import { AmountStepper } from '../src/app/parts/fields/amount-stepper';
import { WorkshopMemory } from '../src/app/services/workshop';

const units = signal<Units>(metricUnits);
const settings = signal({ spoonStep: 0.5 });

beforeEach(() => {
  units.set(metricUnits);
  TestBed.configureTestingModule({
    providers: [provideHttpClient(), { provide: WorkshopMemory, useValue: { units, settings } }],
  });
});

async function field(value: number | null, measure: Measure = 'length', more: Record<string, unknown> = {}) {
  const fixture = TestBed.createComponent(NumberField);
  const given: (number | null)[] = [];
  fixture.componentInstance.valueChange.subscribe((one) => given.push(one));
  for (const [name, one] of Object.entries({ label: 'Height', value, measure, ...more }))
    fixture.componentRef.setInput(name, one);
  await fixture.whenStable();
  const input = (fixture.nativeElement as HTMLElement).querySelector('input') as HTMLInputElement;
  const type = async (text: string) => {
    input.value = text;
    input.dispatchEvent(new Event('input'));
    input.dispatchEvent(new Event('change'));
    await fixture.whenStable();
  };
  const note = () => (fixture.nativeElement as HTMLElement).querySelector('[role=alert]')?.textContent ?? null;
  return { fixture, input, type, note, given };
}

describe('a number field', () => {
  test('shows a length in the workshop’s units and gives mm back', async () => {
    const { input, type, given, fixture } = await field(76.2);
    expect(input.value).toBe('76.2');
    units.set({ ...metricUnits, length: 'inch' });
    await fixture.whenStable();
    expect(input.value).toBe('3.00');
    await type('3,5');
    expect(given).toEqual([88.9]);
  });
  test('keeps what can’t be read, says so, and gives nothing', async () => {
    const { input, type, note, given } = await field(62);
    await type('about sixty');
    expect(input.value).toBe('about sixty');
    expect(note()).toMatch(/Type a number/);
    expect(input.getAttribute('aria-invalid')).toBe('true');
    expect(given).toEqual([]);
    await type('60');
    expect(note()).toBeNull();
    expect(given).toEqual([60]);
  });
  test('says what its owner says, and forgets it when the value changes', async () => {
    const { fixture, input, type, note } = await field(62);
    await type('900');
    fixture.componentRef.setInput('refused', 'No cup is over 600 mm tall.');
    await fixture.whenStable();
    expect(note()).toBe('No cup is over 600 mm tall.');
    expect(input.value).toBe('900');
    fixture.componentRef.setInput('refused', null);
    fixture.componentRef.setInput('value', 70);
    await fixture.whenStable();
    expect(input.value).toBe('70');
  });
  test('empty is nothing where that is allowed, a fault where it isn’t', async () => {
    const loose = await field(890, 'plain', { optional: true });
    await loose.type('');
    expect(loose.given).toEqual([null]);
    const strict = await field(890, 'plain');
    await strict.type('');
    expect(strict.given).toEqual([]);
    expect(strict.note()).not.toBeNull();
  });
  test('Escape goes back to the last good value', async () => {
    const { fixture, input, type, note } = await field(62);
    await type('x');
    input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }));
    await fixture.whenStable();
    expect([input.value, note()]).toEqual(['62', null]);
  });
});

describe('an amount stepper', () => {
  async function stepper(value: number) {
    const fixture = TestBed.createComponent(AmountStepper);
    const given: number[] = [];
    fixture.componentInstance.valueChange.subscribe((one) => given.push(one));
    fixture.componentRef.setInput('label', 'Penny Rain');
    fixture.componentRef.setInput('value', value);
    await fixture.whenStable();
    const element = fixture.nativeElement as HTMLElement;
    const input = element.querySelector('input') as HTMLInputElement;
    const key = (name: string) => input.dispatchEvent(new KeyboardEvent('keydown', { key: name }));
    return { fixture, given, input, key, buttons: element.querySelectorAll('button') };
  }

  test('goes by the maker’s spoon and lands on it from between', async () => {
    const { given, key } = await stepper(2.3);
    key('ArrowUp');
    expect(given).toEqual([2.5]);
    const down = await stepper(2.3);
    down.key('ArrowDown');
    expect(down.given).toEqual([2]);
  });
  test('loses no step of a held key', async () => {
    const { given, key } = await stepper(2);
    for (let i = 0; i < 4; i += 1) key('ArrowUp');
    expect(given).toEqual([2.5, 3, 3.5, 4]);
  });
  test('never goes below one spoon', async () => {
    const { given, key, buttons } = await stepper(0.5);
    key('ArrowDown');
    expect(given).toEqual([]);
    expect(buttons[0].disabled).toBe(true);
  });
});
