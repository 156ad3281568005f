import { designSchema, planOf, typicalCups, withCoatMoved, withException, withFix, type CoatId, type Workshop } from '../src';
import { typicalShelf } from '../src/first-shelf';
import { canPractise, MISTAKES, scoreOf, sixMistakes, toPutInOrder } from '../src/practice';
import { demoFile, workshop } from './workshop';

let made = 0;
const newId = () => `p${(made += 1)}`;
const typical: Workshop = { ...workshop, shelf: [...typicalShelf(newId)] };
const score = (design: Parameters<typeof planOf>[0], over: Workshop) => scoreOf(design, planOf(design, over));

describe('a plan with six mistakes', () => {
  test.each(typicalCups.map((cup) => [cup.name, cup] as const))('%s: all six are found, and none is put right yet', (_, cup) => {
    for (const over of [workshop, typical]) {
      const design = sixMistakes(cup, over, newId);
      expect(designSchema.safeParse(design).success).toBe(true);
      const grave = planOf(design, over).findings.filter(({ level }) => level !== 'tip');
      // Nothing but them: who puts six right has put all right.
      expect(grave.map(({ rule }) => rule).sort()).toEqual([...MISTAKES].sort());
      expect(score(design, over)).toMatchObject({ right: 0, of: 6, done: false });
    }
  });
  test('put right one after the other, each counts; then it is done', () => {
    let design = sixMistakes(typicalCups[0], workshop, newId);
    for (let right = 1; right <= 6; right += 1) {
      const [rule] = score(design, workshop)?.left ?? [];
      const finding = planOf(design, workshop).findings.find((one) => one.rule === rule);
      design =
        finding?.fix && finding.fix.does !== 'pour'
          ? withFix(design, finding.fix, workshop, newId() as CoatId)
          : { ...design, coats: design.coats.filter(({ id }) => id !== finding?.coat) };
      expect(score(design, workshop)?.right).toBeGreaterThanOrEqual(right);
    }
    expect(score(design, workshop)).toMatchObject({ right: 6, done: true, left: [] });
  });
  test('leaving one so puts nothing right', () => {
    const design = sixMistakes(typicalCups[0], workshop, newId);
    const [finding] = planOf(design, workshop).findings.filter(({ rule }) => rule === 'scuff first');
    expect(score(withException(design, finding, 'Meant so'), workshop)?.right).toBe(0);
  });
  test('wants glitter, glue, resin and paint', () => {
    expect(canPractise(workshop)).toBe(true);
    expect(canPractise({ shelf: workshop.shelf.filter(({ kind }) => kind !== 'glue') })).toBe(false);
  });
});

describe('coats to put in order', () => {
  const { design } = demoFile('copper-eaves');
  const mixed = toPutInOrder(design, 'copy', 7);
  test('are the same coats in disorder, the same for the same seed', () => {
    expect(mixed.coats.map(({ id }) => id).sort()).toEqual(design.coats.map(({ id }) => id).sort());
    expect(mixed.coats).not.toEqual(design.coats);
    expect(toPutInOrder(design, 'copy', 7)).toEqual(mixed);
    expect(toPutInOrder(design, 'copy', 8).coats).not.toEqual(mixed.coats);
  });
  test('the score says how many needn’t be moved, and grows to all as each is put where it belongs', () => {
    let now = mixed;
    let before = score(now, workshop)?.right ?? 0;
    expect(before).toBeLessThan(design.coats.length);
    design.coats.forEach(({ id }, to) => {
      now = withCoatMoved(
        now,
        now.coats.findIndex((coat) => coat.id === id),
        to,
      );
      const right = score(now, workshop)?.right ?? 0;
      expect(right).toBeGreaterThanOrEqual(before);
      before = right;
    });
    expect(score(now, workshop)).toMatchObject({ right: design.coats.length, done: true });
  });
  test('a design made in earnest has no score', () => expect(score(design, workshop)).toBeNull());
});
