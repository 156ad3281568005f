import fc from 'fast-check';
import { readDeviceLine, SimulatedRoom, SimulatedScale, type Devices } from '../src';
import { nextPour, pourStand, pourState, weighable, weighedIn, type MakeStep } from '../src/make';
import { coatOf, made } from './made';

const mlOf = (step: MakeStep, key: string, grams: number): number =>
  grams / (step.amounts.find((one) => one.key === key)?.gramsPerMl ?? 1);

describe('pouring against a target', () => {
  test('asks for each part as it was planned, where each was poured so', () => {
    const step = coatOf(made(), 'resin');
    const poured: Record<string, number> = {};
    for (const amount of weighable(step)) {
      const next = nextPour(step, poured);
      expect(next).toMatchObject({ key: amount.key, planned: null });
      expect(next?.grams).toBeCloseTo(amount.amount * (amount.gramsPerMl ?? 1), 6);
      poured[amount.key] = amount.amount;
    }
    expect(nextPour(step, poured)).toBeNull();
  });
  test('the other part of a resin follows what the first really was, and says so', () => {
    const step = coatOf(made(), 'resin');
    const [a, b] = step.amounts;
    const next = nextPour(step, { a: a.amount * 1.2 });
    expect(next?.grams).toBeCloseTo(b.amount * 1.2 * (b.gramsPerMl ?? 1), 1);
    expect(next?.planned).toBeCloseTo(b.amount * (b.gramsPerMl ?? 1), 6);
  });
  test('jars of one blend keep their shares, whatever the hand does; another area’s stay as planned', () => {
    const step = coatOf(made('thistle-weave'), 'glitter');
    const keys = weighable(step).map(({ key }) => key);
    const blend = (key: string) => key.slice(0, key.lastIndexOf('/'));
    const two = keys.filter((key) => keys.filter((other) => blend(other) === blend(key)).length > 1);
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 2, noNaN: true }), (times) => {
        const poured: Record<string, number> = {};
        for (let next = nextPour(step, poured); next; next = nextPour(step, poured)) {
          const amount = step.amounts.find(({ key }) => key === next.key)?.amount ?? 0;
          const first = !Object.keys(poured).some((key) => blend(key) === blend(next.key));
          const wanted = mlOf(step, next.key, next.grams);
          expect(wanted).toBeCloseTo(first ? amount : amount * times, 6);
          poured[next.key] = first ? amount * times : wanted;
        }
      }),
    );
    expect(two.length).toBeGreaterThan(1);
  });
  test('is there within a step of the scale, nearly there before, over beyond', () => {
    expect([0, 5, 18, 19.9, 20.1, 20.4].map((grams) => pourState(20, grams))).toEqual([
      'empty',
      'pouring',
      'nearly',
      'there',
      'there',
      'over',
    ]);
  });
});

describe('what devices say', () => {
  test.each([
    ['weight 12.34 g steady', { says: 'weight', grams: 12.34, steady: true }],
    ['weight -3.0 g moving', { says: 'weight', grams: -3, steady: false }],
    ['overload', { says: 'overload' }],
    ['weight 12,3 g steady', null],
    ['weight 1e9 g steady', null],
    ['12.3', null],
    ['', null],
  ])('a scale: “%s”', (line, says) => expect(readDeviceLine('scale', line)).toEqual(says));
  test.each([
    ['room 21.4 C 47 %', { says: 'room', celsius: 21.4, humidity: 47 }],
    ['room 21.4 C', { says: 'room', celsius: 21.4, humidity: null }],
    ['room 850 C 47 %', { says: 'nothing' }],
    ['room 20 C 180 %', { says: 'nothing' }],
    ['room nothing', { says: 'nothing' }],
    ['room warm', null],
  ])('a room: “%s”', (line, says) => expect(readDeviceLine('room', line)).toEqual(says));
  test('a turner', () => {
    expect(['turning 5.0 rpm', 'stalled', 'stopped', 'turning'].map((line) => readDeviceLine('turner', line))).toEqual([
      { says: 'turning', rpm: 5 },
      { says: 'stalled' },
      { says: 'stopped' },
      null,
    ]);
  });
  test('a simulated scale says the same for the same hands, and what lies on it within its steps', () => {
    const weigh = () => {
      const scale = new SimulatedScale(3);
      const lines = ['tare', 'put 40', 'flow 2'].flatMap((command) => {
        scale.told(command);
        return Array.from({ length: 20 }, () => scale.after(0.1));
      });
      scale.told('flow 0');
      return [...lines, ...Array.from({ length: 20 }, () => scale.after(0.1))];
    };
    expect(weigh()).toEqual(weigh());
    const last = readDeviceLine('scale', weigh().at(-1) ?? '');
    expect(last).toMatchObject({ says: 'weight', steady: true });
    expect(Math.abs((last?.says === 'weight' ? last.grams : 0) - 44)).toBeLessThanOrEqual(0.2);
  });
  test('a simulated scale calls nothing steady that it hasn’t come to yet', () => {
    const scale = new SimulatedScale(5);
    scale.told('put 500');
    const steady = Array.from({ length: 60 }, () => readDeviceLine('scale', scale.after(0.1))).filter(
      (says) => says?.says === 'weight' && says.steady,
    );
    expect(steady.length).toBeGreaterThan(10);
    for (const says of steady) expect(Math.abs((says?.says === 'weight' ? says.grams : 0) - 500)).toBeLessThanOrEqual(0.2);
  });
  test('a simulated room is warmest in the afternoon, and silent while its sensor is out', () => {
    const room = new SimulatedRoom();
    const at = (hour: number) => readDeviceLine('room', room.at(Date.UTC(2026, 10, 29, hour)));
    const [night, day] = [at(4), at(16)];
    if (night?.says !== 'room' || day?.says !== 'room') throw new Error('silent');
    expect(day.celsius - night.celsius).toBeGreaterThan(3);
    room.told('drop out');
    expect(at(16)).toEqual({ says: 'nothing' });
  });
});

describe('how a pour stands', () => {
  const target = { key: 'a', name: 'Part A', grams: 20, planned: null };
  const shows = (grams: number, steady = true): Devices['scale'] => ({
    reach: 'here',
    simulated: true,
    says: { says: 'weight', grams, steady },
  });
  const lost: Devices['scale'] = { reach: 'lost', simulated: true, says: null };
  test('it is taken by itself once it lies still at the target or over it, and never before', () => {
    const takes = (grams: number, steady = true) => pourStand(target, shows(grams, steady), 'weighs').takes;
    expect([0, 12, 19, 20, 24].map((grams) => takes(grams))).toEqual([false, false, false, true, true]);
    expect(takes(20, false)).toBe(false);
    expect(pourStand(target, shows(12), 'weighs')).toMatchObject({ takeable: true, grams: 12, full: 0.6, says: '8.0 g to go.' });
  });
  test('what a scale shows before it was at nought is nobody’s pour', () => {
    expect(pourStand(target, shows(20), 'waits')).toMatchObject({ grams: null, full: 0, takeable: false, takes: false });
  });
  test('after a scale was away nothing is taken by itself: what it shows is asked about', () => {
    const stand = pourStand(target, shows(20), 'was away');
    expect(stand).toMatchObject({ takeable: true, takes: false });
    expect(stand.says).toContain('If 20.0 g is what lies in the pot');
    expect(pourStand(target, lost, 'was away').says).toContain('can’t be reached');
  });
  test('below nought, overloaded and done are each said', () => {
    expect(pourStand(target, shows(-3), 'weighs').says).toContain('3.0 g below nought');
    expect(pourStand(target, { ...lost, reach: 'here', says: { says: 'overload' } }, 'weighs').takeable).toBe(false);
    expect(pourStand(null, lost, 'waits').says).toBe('All of it is weighed in.');
  });
  test('what is taken is in ml, of that part alone', () => {
    const step = coatOf(made(), 'resin');
    const [a] = step.amounts;
    expect(weighedIn(step, { b: 3 }, 'a', 11)['a']).toBeCloseTo(11 / (a.gramsPerMl ?? 1), 6);
    expect(weighedIn(step, { b: 3 }, 'a', 11)['b']).toBe(3);
  });
});
