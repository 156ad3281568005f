import { designSchema, planOf, type AreaId } from '@aurantia/core';
import { withFade, withFadeBegun } from '@aurantia/core';
import { defaultSettings } from '@aurantia/core';
import { potMarks } from '../src/app/parts/cup-view/pot-marks';
import { stanceIn } from '@aurantia/core/figure';
import { design, shelf } from './workshop';

const marksOf = (way: 'up' | 'middle' | 'round') => {
  const begun = withFadeBegun(design, 'low' as AreaId, 1.5);
  const faded = designSchema.parse(withFade(begun, 'low' as AreaId, (fade) => ({ ...fade, way, pots: 3 })));
  const [fade] = planOf(faded, { settings: defaultSettings, shelf: [...shelf] }).fades;
  return potMarks(fade, faded.cup.stations, stanceIn(faded.cup, 400, 500, 10));
};

test('pots are named beside the cup, the first lowest', () => {
  const marks = marksOf('up');
  expect(marks.map(({ name }) => name.split(':')[0])).toEqual(['pot 1', 'pot 2', 'pot 3']);
  expect(marks.map(({ y }) => y)).toEqual(marks.map(({ y }) => y).sort((one, other) => other - one));
});

test('both ways they are named twice, and round the cup not at all', () => {
  expect(marksOf('middle')).toHaveLength(5);
  expect(marksOf('round')).toEqual([]);
});
