import { designSchema, planOf, startingCup } from '@aurantia/core';
import { planAside } from '../src/plan/plan-aside';
import { demoFile } from './memory';

const { shelf, settings } = demoFile('peat-fire');
const workshop = { shelf, settings };
const scattered = (count: number, layers: number) =>
  designSchema.parse({
    version: 2,
    id: 'd',
    name: 'D',
    cup: startingCup,
    areas: Array.from({ length: layers }, (_, seed) => ({
      kind: 'scatter',
      id: `s${seed}`,
      name: 'Stars',
      outline: { shape: 'star' },
      width: 2,
      count,
      seed,
      clearance: 0,
      turn: 'any',
      lower: { by: 'share', share: 0 },
      upper: { by: 'share', share: 1 },
    })),
    blends: [],
    coats: [],
  });

test('a long layout is worked out in a thread of its own, while this one answers; it comes out the same', async () => {
  const design = scattered(300, 1);
  let turns = 0;
  const beat = setInterval(() => (turns += 1), 5);
  const plan = await planAside(design, workshop);
  clearInterval(beat);
  expect(turns).toBeGreaterThan(3);
  expect(JSON.stringify(plan.areas)).toBe(JSON.stringify(planOf(design, workshop).areas));
}, 60000);

test('one that takes too long is stopped, and says what to change', async () => {
  await expect(planAside(scattered(2000, 6), workshop, 50)).rejects.toMatchObject({
    status: 503,
    detail: expect.stringContaining('Take fewer motifs'),
  });
}, 60000);
