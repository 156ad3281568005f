import {
  countFindings,
  facePerMl,
  planOf,
  startingCup,
  withJar,
  suggestedDesign,
  type AreaId,
  type Design,
  type Workshop,
} from '../src';
import { typicalShelf } from '../src/first-shelf';
import { firstCupSteps, stageNames, stagePages } from '../src/guide';
import { designWith, workshop } from './workshop';

let made = 0;
const newId = () => `new-${(made += 1)}`;
const typical: Workshop = { settings: workshop.settings, shelf: [...typicalShelf(newId)] };
const jar = typical.shelf.find(({ kind }) => kind === 'glitter');
const bands = {
  areas: [
    { kind: 'band', id: 'low', name: 'Low', from: 0, to: 80 },
    { kind: 'band', id: 'high', name: 'High', from: 80, to: 170 },
  ],
  blends: [],
};
/** A first cup as a maker takes it, one stage after the other. */
const way = (): readonly Design[] => {
  if (!jar) throw new Error('no glitter');
  const split = designWith([], bands);
  const filled = (['low', 'high'] as AreaId[]).reduce((design, area) => withJar(design, area, jar.id, typical), split);
  return [designWith([], { areas: [], blends: [] }), split, filled, suggestedDesign(filled, typical, newId)];
};
const donein = (design: Design, printed = false) => firstCupSteps(planOf(design, typical), printed).map(({ done }) => done);

test('the six steps are the stages, and each is done by what its sentence asks for', () => {
  const [cup, split, filled, coated] = way();
  expect(firstCupSteps(planOf(cup, typical), false).map(({ stage }) => stage)).toEqual(
    stageNames.filter((stage) => stage !== 'amounts'),
  );
  expect(donein(cup, true)).toEqual([false, false, false, false, false, false]);
  expect(donein(split)).toEqual([true, true, false, false, false, false]);
  expect(donein(filled)).toEqual([true, true, true, false, false, false]);
  expect(countFindings(planOf(coated, typical).findings).grave).toBe(0);
  expect(donein(coated)).toEqual([true, true, true, true, true, false]);
  expect(donein(coated, true)).toEqual([true, true, true, true, true, true]);
});

test('while something is found, the step before the card says so', () => {
  const coated = way()[3];
  const unsealed = { ...coated, coats: coated.coats.filter(({ kind }) => kind !== 'glue') };
  expect(countFindings(planOf(unsealed, typical).findings).grave).toBeGreaterThan(0);
  const step = firstCupSteps(planOf(unsealed, typical), true)[4];
  expect(step).toMatchObject({ stage: 'check', done: false });
  expect(step.says).toContain('would go wrong');
});

test('a cup twice as tall as wide has a quarter more wall than one as tall as wide that holds the same', () => {
  const straight = (tall: number) => {
    const diameter = Math.cbrt((4 * 500_000) / (Math.PI * tall));
    const circumference = Math.PI * diameter;
    const stations = [0, tall * diameter].map((height) => ({ height, circumference }));
    return planOf(
      designWith([], { cup: { ...startingCup, shape: 'straight', stations, lipStrip: 0 }, areas: [], blends: [] }),
      typical,
    ).surface;
  };
  const [squat, slim] = [straight(1), straight(2)];
  expect(slim.volume).toBeCloseTo(squat.volume, 0);
  expect(slim.wall / squat.wall).toBeCloseTo(1.26, 2);
  expect(stagePages.cup.saves).toContain('a quarter more wall');
});

test('a spoon of a fine cut covers half as much again as a chunky one, or more', () => {
  const face = (name: string) => {
    const item = typical.shelf.find((one) => one.name === name);
    return item?.kind === 'glitter' ? facePerMl(item.flake) : NaN;
  };
  expect(face('Gold, fine') / face('Gold, chunky')).toBeGreaterThan(1.5);
  expect(stagePages.colour.saves).toContain('half as much again');
});
