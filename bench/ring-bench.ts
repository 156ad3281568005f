import { neighbourCost, planRing, ringOrder } from '@aurantia/core/ring';
import { medianOf, type Row } from './measure';

/** Colours from a fixed seed, none of them near black or white. */
function colours(count: number, seed: number): readonly string[] {
  let state = seed;
  const next = () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648;
  const byte = () =>
    Math.floor(30 + next() * 215)
      .toString(16)
      .padStart(2, '0');
  return Array.from({ length: count }, () => `#${byte()}${byte()}${byte()}`);
}

/** The cheapest of all rings, each begun at the first colour, by going through every one. */
function everyRing(cost: readonly (readonly number[])[]): number {
  let best = Infinity;
  const go = (last: number, left: readonly number[], sum: number): void => {
    if (left.length === 0) best = Math.min(best, sum + cost[last][0]);
    for (const one of left)
      go(
        one,
        left.filter((other) => other !== one),
        sum + cost[last][one],
      );
  };
  go(
    0,
    cost.slice(1).map((_, i) => i + 1),
    0,
  );
  return best;
}

/** 9 · 10 · 11: so many more rings there are of twelve than of nine. */
const TWELVE_AGAINST_NINE = 9 * 10 * 11;

export function ringRows(): readonly Row[] {
  const [nine, twelve] = [colours(9, 3), colours(12, 3)];
  const cost = nine.map((one) => nine.map((other) => neighbourCost(one, other)));
  let least = 0;
  const every = medianOf(3, () => (least = everyRing(cost)));
  const exact = medianOf(9, () => ringOrder(twelve));
  const same = Math.abs(ringOrder(nine).cost - least) < 1e-9;
  const gaps = [1, 2, 3, 4, 5].map((seed) => {
    const { cost: found, bound } = planRing(colours(24, seed).map((colour, i) => ({ id: `${i}`, name: `${i}`, colour })));
    return found / bound - 1;
  });
  return [
    {
      what: 'ring of 12 colours, exact, meetings and all, against every order of 9 scaled up',
      figure: `${((every * TWELVE_AGAINST_NINE) / exact).toFixed(0)} × faster; ${same ? 'the same' : 'NOT the same'} least cost for 9`,
      aim: '≥ 10 ×',
    },
    {
      what: 'ring of 24: over what no order can beat, worst of five',
      figure: `${(100 * Math.max(...gaps)).toFixed(2)} %`,
      aim: 'under 3 %',
    },
  ];
}
