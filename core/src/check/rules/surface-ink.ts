import { mlToReach } from '../../coats';
import { isFilm, itemsOfCoat, MOST_CRACKLE_ML } from '../../design';
import { hasSolvent } from '../../ink';
import { itemOf } from '../../stock';
import { listText } from '../../units';
import { areasWhere, reaches, stepsOfKind, type Rule } from '../finding';

/** Ink that lies on the surface itself under the next coat of resin, with nothing between them. */
export const surfaceInkUnsealed: Rule = {
  name: 'surface ink unsealed',
  find: (facts) =>
    stepsOfKind(facts, 'grain', 'crackle', 'floated').flatMap(({ coat, index, planned }) => {
      const after = facts.steps.slice(index + 1);
      // Whichever of the two comes first: a seal, or the resin it is for.
      const film = after.find((step) => isFilm(step.coat) || step.coat.kind === 'seal');
      if (film === undefined || film.coat.kind === 'seal') return [];
      const inks = itemsOfCoat(coat).map(({ id }) => itemOf(facts.workshop.shelf, id, 'ink'));
      // Floated colours are oily whatever they are thinned with.
      if (coat.kind !== 'floated' && inks.every((ink) => ink !== undefined && !hasSolvent(ink))) return [];
      return [
        {
          level: 'look' as const,
          coat: film.coat.id,
          area: null,
          says: `Resin goes over “${planned.title}” with no seal between.`,
          why:
            coat.kind === 'floated'
              ? 'Resin draws back from oily colour and leaves bare rings. Brush a water-based barrier on and let it dry.'
              : 'Wet resin picks ink up again and carries it off in clouds. Mist it lightly from a forearm away: a heavy spray does the same.',
          fix: { does: 'insert coat' as const, label: 'Add a clear seal, 25 min', kind: 'seal' as const, before: film.coat.id },
        },
      ];
    }),
};

/** Ink or a dipped film on flakes or powder: it runs between them instead of lying in a pattern. */
export const surfaceInkOnRough: Rule = {
  name: 'surface ink on rough ground',
  find: (facts) =>
    stepsOfKind(facts, 'grain', 'crackle', 'floated').flatMap(({ coat, before, planned }) => {
      const rough = areasWhere(
        facts,
        (place) => reaches(facts, coat, place) && before[place].hasGlitter && before[place].cover === 0,
      );
      if (rough.length === 0) return [];
      return [
        {
          level: 'look' as const,
          coat: coat.id,
          area: null,
          says: `“${planned.title}” lies on raw glitter on ${listText(rough)}.`,
          why: 'Ink runs in between the flakes, and neither grain nor cells nor floated lines come out. Lay it on smooth, cured resin.',
          fix: { does: 'insert coat' as const, label: 'Add clear resin before it', kind: 'resin' as const, before: coat.id },
        },
      ];
    }),
};

/** Film-wrapped ink that reaches none of its areas. */
export const crackleFallsShort: Rule = {
  name: 'crackle falls short',
  find: (facts) =>
    stepsOfKind(facts, 'crackle').flatMap(({ coat, before, after, planned }) => {
      if (planned.pattern?.films.every((film) => film === null) ?? true) return [];
      const short = areasWhere(
        facts,
        (place) => reaches(facts, coat, place) && place in facts.cup.regions && before[place].spectrum === after[place].spectrum,
      );
      if (short.length === 0) return [];
      const tops = facts.areas.areas.filter(({ name }) => short.includes(name)).map(({ to }) => to ?? 0);
      const ml = mlToReach(Math.max(...tops), facts.design.cup.stations);
      return [
        {
          level: 'look' as const,
          coat: coat.id,
          area: null,
          says: `${coat.ml} ml of ink don’t reach ${listText(short)}.`,
          why: 'Under the film ink rises from the foot as far as there is enough of it. Take more, or leave what lies higher out.',
          fix:
            ml > coat.ml && ml <= MOST_CRACKLE_ML
              ? { does: 'set coat' as const, label: `Take ${ml} ml`, coat: { ...coat, ml } }
              : null,
        },
      ];
    }),
};
