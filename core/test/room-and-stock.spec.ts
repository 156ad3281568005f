import { countFindings, planOf, potLifeAt, type Finding, type Workshop } from '../src';
import { coat, demoFile, demoNames, designWith, workshop } from './workshop';

const at = (celsius: number): Workshop => ({ ...workshop, settings: { ...workshop.settings, celsius } });
const coatOf = (kind: string, celsius: number) => {
  const found = planOf(designWith([coat.base, coat.brush, coat.glitter, coat.seal, coat.resin]), at(celsius)).coats.find(
    (one) => one.kind === kind,
  );
  if (!found) throw new Error(`no ${kind}`);
  return found;
};
const findings = (
  over: Partial<Workshop>,
  coats: readonly object[] = [coat.base, coat.wipe, coat.glitter, coat.ink],
): readonly Finding[] => planOf(designWith(coats), { ...workshop, ...over }).findings;

describe('the room', () => {
  test('shortens what a warm one lets you work, by the cure law', () => {
    expect(coatOf('resin', 21).does).toContain('on the cup within 25 min');
    expect(coatOf('resin', 30).does).toContain('on the cup within 13 min');
    expect(coatOf('glue', 21).does).toContain('takes glitter for 3–5 min');
    expect(coatOf('glue', 31).does).toContain('takes glitter for 2–3 min');
  });
  test('lengthens drying where it is cold, and shortens it where it is warm', () => {
    const waits = (celsius: number) => ['base', 'glitter', 'seal'].map((kind) => coatOf(kind, celsius).wait.minutes);
    expect(waits(21)).toEqual([60, 60, 25]);
    expect(waits(11)).toEqual([120, 120, 50]);
    expect(waits(31)).toEqual([30, 30, 13]);
  });
  test('decides whether a fade’s pots are in time', () => {
    const { design, shelf, settings } = demoFile('apiary-noon');
    const slow = (celsius: number) =>
      planOf(design, { shelf, settings: { ...settings, celsius } }).findings.some(
        ({ rule }) => rule === 'glue sets before the last pot',
      );
    expect([slow(21), slow(40)]).toEqual([false, true]);
  });
  test('and the mass in it decide how long a pot can be worked', () => {
    expect(potLifeAt(25, 100, 21)).toBe(25);
    expect(potLifeAt(25, 100, 31)).toBe(12.5);
    expect(potLifeAt(25, 1600, 21)).toBe(12.5);
    expect(potLifeAt(25, 1, 21)).toBe(potLifeAt(25, 5, 21));
  });
});

describe('stock', () => {
  const withLeft = (id: string, left: number) => ({
    shelf: workshop.shelf.map((item) => (item.id === id ? { ...item, left } : item)),
  });
  test.each([
    ['penny-rain', 5.9, 'Penny Rain: 6.0 ml wanted'],
    ['slow-1-1', 10, 'Slow 1:1: '],
    ['tarn', 0.01, 'Tarn: '],
  ])('short of %s is said', (id, left, says) => {
    const short = (over: Partial<Workshop>) => findings(over).filter(({ rule }) => rule === 'not enough in stock');
    expect(short({})).toEqual([]);
    expect(short(withLeft(id, left))).toMatchObject([{ level: 'look', says: expect.stringContaining(says) }]);
  });
  test('ink is dropped, so what is short of it reads in ml in a workshop that weighs too', () => {
    const settings = { ...workshop.settings, units: { ...workshop.settings.units, amount: 'gram' as const } };
    const [short] = findings({ settings, ...withLeft('tarn', 0.01) }).filter(({ rule }) => rule === 'not enough in stock');
    expect(short.says).toMatch(/^Tarn: [\d.]+ ml wanted, 0\.01 ml left\.$/);
  });
  test('resin opened longer ago than it keeps is said, once the day is known', () => {
    const opened = { shelf: workshop.shelf.map((item) => (item.kind === 'resin' ? { ...item, opened: '2025-11-26' } : item)) };
    const aged = (over: Partial<Workshop>) =>
      findings({ ...opened, ...over }).filter(({ rule }) => rule === 'opened resin past its date');
    expect(aged({})).toEqual([]);
    expect(aged({ today: '2026-11-25' })).toEqual([]);
    expect(aged({ today: '2026-11-26' })).toMatchObject([
      { says: expect.stringContaining('Slow 1:1 has been open for 12 months') },
    ]);
  });
});

test('an area that later ones cover wholly is poured on no more, and nothing of it is cast off', () => {
  const design = designWith([coat.base, coat.wipe, coat.glitter], {
    areas: [
      { kind: 'band', id: 'low', name: 'Low', from: 0, to: 80 },
      { kind: 'band', id: 'high', name: 'High', from: 0, to: 170 },
    ],
  });
  const { coats, totals } = planOf(design, workshop);
  const pours = coats.flatMap((one) => one.pours);
  expect(pours.map(({ area }) => area)).toEqual(['high']);
  expect(pours.every(({ castOff }) => castOff >= 0 && castOff <= 1)).toBe(true);
  expect(totals.glitters.map(({ item }) => item)).toEqual(['rust-road', 'lamp-oil']);
});

test('tips are no things to look at, wherever they are counted', () => {
  const tip: Finding = { rule: 'r', level: 'tip', coat: null, area: null, says: '', why: '', fix: null, accepted: null };
  expect(countFindings([tip, { ...tip, level: 'look' }, { ...tip, level: 'stop' }])).toEqual({
    stop: 1,
    look: 1,
    tip: 1,
    grave: 2,
  });
  expect(countFindings([{ ...tip, level: 'stop', accepted: 'meant so' }]).grave).toBe(0);
  for (const name of demoNames) {
    const { design, settings, shelf } = demoFile(name);
    const { findings: found } = planOf(design, { settings, shelf });
    expect(countFindings(found).grave).toBe(found.filter(({ level }) => level !== 'tip').length);
  }
});
