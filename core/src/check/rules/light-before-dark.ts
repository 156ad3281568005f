import type { Step } from '../../coats';
import { labOf } from '../../colour';
import { isFilm } from '../../design';
import { listText } from '../../units';
import { stepsOfKind, type Rule } from '../finding';

/** L* that one glitter is darker than another, from which on its stray flakes are seen there. */
const DARKER = 15;

/** A light glitter poured on soft glue beside a darker one that still sheds. */
export const lightBeforeDark: Rule = {
  name: 'light before dark',
  find: (facts) => {
    const poured = stepsOfKind(facts, 'glitter');
    return poured.slice(1).flatMap((light, i) => {
      const dark = poured[i];
      const between = facts.steps.slice(dark.index + 1, light.index);
      if (between.some(({ coat }) => isFilm(coat) || coat.kind === 'seal')) return [];
      // What both coats pour on is a second pass, not a neighbour.
      const [first, then] = [placesOf(dark), placesOf(light)];
      const darkest = Math.min(...lightness(dark, (place) => !then.includes(place)));
      const lightest = Math.max(...lightness(light, (place) => !first.includes(place)));
      if (!(lightest - darkest > DARKER)) return [];
      const glue = between.find(({ coat }) => coat.kind === 'glue');
      return [
        {
          level: 'tip' as const,
          coat: light.coat.id,
          area: null,
          says: `The lighter ${namesOf(light)} comes after the darker ${namesOf(dark)}, which still sheds.`,
          why: 'Dark flakes that come loose stick in the light one’s glue and are seen there; the other way round they hardly are. Pour the light one first, or hold the dark one with a clear seal.',
          fix: {
            does: 'insert coat' as const,
            label: 'Add a clear seal between, 25 min',
            kind: 'seal' as const,
            before: (glue ?? light).coat.id,
          },
        },
      ];
    });
  },
};

const placesOf = ({ planned }: Step): readonly string[] => planned.pours.map(({ area }) => area);
const lightness = (step: Step, counts: (place: string) => boolean): readonly number[] =>
  placesOf(step)
    .filter(counts)
    .map((place) => labOf(step.after[place].spectrum)[0]);
const namesOf = ({ planned }: Step): string => listText([...new Set(planned.pours.map(({ areaName }) => areaName))]);
