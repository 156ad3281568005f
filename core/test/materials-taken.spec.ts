import { materialsTaken, planOf, type Units, type Workshop } from '../src';
import { demoFile, demoNames, workshop } from './workshop';

const { units } = workshop.settings;
const taken = (name: (typeof demoNames)[number], over: Workshop = workshop, said: Units = units) =>
  materialsTaken(planOf(demoFile(name).design, over).totals, over.shelf, said);
const withLeft = (id: string, left: number | null): Workshop => ({
  ...workshop,
  shelf: workshop.shelf.map((item) => (item.id === id ? { ...item, left } : item)),
});

test('glitters, resin, ink and paint stand in the order of need, as they are measured', () => {
  const rows = taken('copper-eaves');
  expect(rows.map(({ group }) => group)).toEqual([...Array.from({ length: 6 }, () => 'glitter'), 'resin', 'ink', 'paint']);
  expect(rows.at(0)).toMatchObject({ name: 'Quarry Moss', takes: '8.0 ml', leftText: '55.0 ml', short: false });
  expect(rows.at(-2)).toMatchObject({ name: 'Tarn', takes: '1 drop' });
  expect(rows.at(-1)).toMatchObject({ name: 'Brick red', takes: '14.0 ml', leftText: '180.0 ml' });
  const grams = taken('copper-eaves', workshop, { ...units, amount: 'gram' });
  expect(grams.at(0)?.takes).toMatch(/ g$/);
  expect(grams.at(-2)).toMatchObject({ takes: '1 drop', leftText: '14.0 ml' });
});

test('what is short is short just where the check says so; what nobody counted never is', () => {
  for (const name of demoNames)
    for (const { item, ml } of taken(name)) {
      const scarce = withLeft(item, Math.max(0, ml - 0.001));
      const rules = planOf(demoFile(name).design, scarce).findings.filter(({ rule }) => rule === 'not enough in stock');
      expect(
        taken(name, scarce)
          .filter(({ short }) => short)
          .map((one) => one.item),
      ).toEqual([item]);
      expect(rules).toHaveLength(1);
      expect(taken(name, withLeft(item, ml)).some(({ short }) => short)).toBe(false);
      expect(taken(name, withLeft(item, null)).find((one) => one.item === item)).toMatchObject({
        leftText: 'not counted',
        short: false,
      });
    }
});

test('a jar that is gone is not measured', () => {
  const [first] = taken('copper-eaves');
  const without = { ...workshop, shelf: workshop.shelf.filter(({ id }) => id !== first.item) };
  expect(taken('copper-eaves', without).map(({ item }) => item)).not.toContain(first.item);
});
