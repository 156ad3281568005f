import fc from 'fast-check';
import {
  cupField,
  deltaE2000,
  designSchema,
  fieldPlanOf,
  flakeField,
  glossed,
  glossOver,
  hexOf,
  labOf,
  LEFT_OVER,
  linearRgbOf,
  lookSpectrum,
  mixSpectra,
  planOf,
  reflectanceOf,
  swatchField,
  type CoatId,
  type Design,
  type Plan,
  type Workshop,
} from '../src';
import { afterCoats } from '../src/ink-depth';
import { whichInks } from '../src/ink-pot';
import { sectionAt } from '../src/section';
import { coat, demoFile, demoNames, designWith, workshop } from './workshop';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
const through: Workshop = { ...workshop, settings: { ...workshop.settings, gloss: true } };
const labOfHex = (colour: string) => labOf(reflectanceOf(colour));
const apart = (one: string, other: string) => deltaE2000(labOfHex(one), labOfHex(other));
const seen = (design: Design, over = through): Plan['finished'] => planOf(design, over).finished;

test('gloss grows with what is under it, and spots of many colours look through it on average as their average does', () => {
  fc.assert(
    fc.property(fc.array(hex, { minLength: 1, maxLength: 6 }), (colours) => {
      const spots = colours.map(reflectanceOf);
      const even = colours.map(() => 1 / colours.length);
      const mean = mixSpectra(spots, even);
      const { times, plus } = glossOver(mean);
      const looked = mixSpectra(
        spots.map((spot) => spot.map((value, i) => plus + value * times[i])),
        even,
      );
      glossed(mean).forEach((value, i) => expect(looked[i]).toBeCloseTo(value, 12));
      expect(glossed(mean.map((value) => value * 0.9)).every((value, i) => value < glossed(mean)[i])).toBe(true);
    }),
  );
});

describe('where the workshop wants it, what resin lies over is told through its gloss', () => {
  const [painted, cured] = [[{ ...coat.base, paint: 'brick-red' }], [{ ...coat.base, paint: 'brick-red' }, coat.resin]];

  test('paint alone isn’t, and paint under resin is', () => {
    const bare = seen(designWith(painted), workshop)['low'];
    expect(seen(designWith(painted))['low']).toBe(bare);
    expect(seen(designWith(cured), workshop)['low']).toBe(bare);
    expect(seen(designWith(cured))['low']).toBe(hexOf(glossed(reflectanceOf(bare))));
  });
  test('paint over resin isn’t either, until more resin closes over it; sanding takes nothing away', () => {
    const again = { ...coat.base, paint: 'pine' };
    const pine = seen(designWith([again]), workshop)['low'];
    expect(seen(designWith([...cured, again]))['low']).toBe(pine);
    expect(seen(designWith([...cured, again, coat.resin, coat.sand]))['low']).toBe(hexOf(glossed(reflectanceOf(pine))));
  });
  test('coat by coat it comes with the resin, and each place has its own', () => {
    const design = designWith([...painted, { ...coat.resin, on: ['low'] }]);
    const { coats } = planOf(design, through);
    expect(coats[0].seen['low']).toBe(coats[0].seen['high']);
    expect(coats[1].seen['high']).toBe(coats[0].seen['high']);
    expect(coats[1].seen['low']).not.toBe(coats[0].seen['low']);
  });
  test('a decal under resin is, one on it isn’t', () => {
    const decal = { kind: 'decal', film: 'chalk-matt', name: 'Mark', width: 60, height: 40, centre: 40 };
    const film = workshop.shelf.find(({ id }) => id === 'chalk-matt');
    const chalk = film?.kind === 'film' ? film.colour : '';
    const colourAt = (...coats: readonly object[]) => {
      const design = designWith(coats);
      const { layers } = sectionAt(planOf(design, through), { angle: 180, height: 40 }, design.cup.stations);
      return layers[layers.length - 1].seen;
    };
    expect(colourAt(...painted, coat.resin, decal)).toBe(chalk);
    expect(colourAt(...painted, decal, coat.resin)).toBe(hexOf(glossed(reflectanceOf(chalk))));
    const looks = (...coats: readonly object[]) =>
      planOf(designWith(coats), through).pieces[0].over['low'].map(({ layer }) => layer);
    expect(looks(...painted, coat.resin, decal)).toEqual([]);
    expect(looks(...painted, decal, coat.resin)).toEqual(['gloss']);
  });
  test('thin and thick places, and which inks for a colour, are told as the coat itself is', () => {
    const design = designWith([{ ...coat.base, paint: 'limewash' }, coat.ink]);
    const [id, place] = ['coat-1' as CoatId, 'low'];
    const [plain, glossy] = [workshop, through].map((over) => {
      const [deep] = afterCoats(design, over, id);
      const { coats } = planOf(design, over);
      expect(deep.colours[0]).toBe(coats[1].seen[place]);
      const steps = whichInks(design, over, { coat: id, place, wanted: coats[1].seen[place], size: 1 });
      let step = steps.next();
      while (!step.done) step = steps.next();
      // What the coat already is has been asked for: nothing is nearer.
      expect(step.value.pots[0].away).toBeLessThan(0.5);
      return deep;
    });
    expect(apart(plain.thick, glossy.thick)).toBeGreaterThan(1);
    // A little more tint is a little darker, through gloss as without.
    expect(labOfHex(glossy.thick)[0]).toBeLessThan(labOfHex(glossy.thin)[0]);
  });
});

describe('the picture agrees with the prediction through gloss', () => {
  test.each(demoNames)('%s, area by area', (name) => {
    const { design, shelf, settings } = demoFile(name);
    const plan = planOf(design, { shelf, settings: { ...settings, gloss: true } });
    for (const { area } of plan.blends) {
      const field = flakeField(swatchField(fieldPlanOf(plan), area, 30, 6));
      expect(apart(field.seen ?? '', plan.finished[area])).toBeLessThan(1.5);
    }
  });
  test('and what is seen of each place is the mean of its layers', () => {
    for (const name of demoNames) {
      const { design, shelf, settings } = demoFile(name);
      const plan = planOf(design, { shelf, settings: { ...settings, gloss: true } });
      for (const { id } of plan.places)
        if (plan.strings.every(({ under }) => !(id in under)))
          expect(apart(hexOf(lookSpectrum(plan.looks[id], plan.bareWall)), plan.finished[id])).toBeLessThan(0.3);
    }
  });
  test('a wall of one paint is painted as it is told', () => {
    const design = designSchema.parse({ ...designWith([{ ...coat.base, paint: 'pine' }, coat.resin]), areas: [], blends: [] });
    const plan = planOf(design, through);
    const { parts } = flakeField(cupField(fieldPlanOf(plan), design.cup, 1));
    const paint = reflectanceOf(planOf(design, workshop).finished[LEFT_OVER]);
    linearRgbOf(glossed(paint)).forEach((value, i) => expect(parts[1].stacks[0].seen[i]).toBeCloseTo(value, 3));
  });
});
