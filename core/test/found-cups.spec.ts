import { foundCups, typicalCups } from '../src';

const cups = typicalCups.map((cup, i) => ({ id: `${i}`, cup }));

test('cups are found by name, shape and wall, by every word of it', () => {
  expect(foundCups(cups, ' ')).toHaveLength(cups.length);
  const mugs = foundCups(cups, 'handle');
  expect(mugs.length).toBeGreaterThan(0);
  expect(mugs.every(({ cup }) => cup.shape === 'mug')).toBe(true);
  const [first] = cups;
  expect(foundCups(cups, `${first.cup.name.toUpperCase()} ${first.cup.material}`)).toContain(first);
  expect(foundCups(cups, `${first.cup.name} no-such-word`)).toEqual([]);
});
