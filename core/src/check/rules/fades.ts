import { openInThisRoom } from '../../coats';
import { hides } from '../../glitter';
import { baseMatches } from '../../pots';
import { itemOf } from '../../stock';
import { listText, percentText } from '../../units';
import { placesOfArea, reaches, stepsOfKind, type Facts, type Finding, type Found, type Rule } from '../finding';

const found = (
  level: Finding['level'],
  area: Finding['area'],
  says: string,
  why: string,
  coat: Finding['coat'] = null,
): Found => ({
  level,
  coat,
  area,
  says,
  why,
  fix: null,
});

/** A fade that can't be laid, that isn't seen, or whose steps come out uneven. */
export const fadeShows: Rule = {
  name: 'fade that doesn’t show',
  find: ({ fades }) =>
    fades.flatMap(({ area, areaName, refused, laid }) => {
      if (refused !== null) return [found('stop', area, `The fade of ${areaName} can’t be laid so.`, refused)];
      if (!laid || laid.verdict.level === 'shows') return [];
      const weak = laid.verdict.says !== 'This will show.';
      const says = weak
        ? `The fade of ${areaName}: ${lower(laid.verdict.says)}`
        : `The steps of the fade of ${areaName} are uneven.`;
      return [found(weak ? laid.verdict.level : 'tip', area, says, laid.verdict.why)];
    }),
};

/** ΔE00 under which two bases under the same glitter look one. */
const ONE_BASE = 2.3;

/** A base that fades, but shows through nothing, or that no coat lays. */
export const fadeBaseShows: Rule = {
  name: 'base fade that can’t show',
  find: (facts) =>
    facts.fades.flatMap(({ area, areaName, baseShows }) => {
      const fade = facts.design.fades.find((one) => one.area === area);
      if (!fade || new Set(fade.stops.map(({ base }) => base)).size < 2) return [];
      const laying = stepsOfKind(facts, 'base').some(
        ({ coat }) => coat.fading && placesOfArea(facts, area).some((place) => reaches(facts, coat, place)),
      );
      if (!laying)
        return [
          found(
            'look',
            area,
            `No base coat lays the base fade of ${areaName}.`,
            'Let a base coat under it take the fade’s paints: tick “as the fade has it” on the coat.',
          ),
        ];
      const solid = fade.stops.every(({ parts }) =>
        parts.every(({ item }) => {
          const jar = itemOf(facts.workshop.shelf, item, 'glitter');
          return !jar || hides(jar.flake);
        }),
      );
      const bare = Math.exp(-fade.depth);
      if (solid && baseMatches(fade.stops, facts.workshop.shelf)) return [];
      if (solid)
        return [
          found(
            'look',
            area,
            `The base fade of ${areaName} can’t show through solid glitter.`,
            `Its flakes hide what lies under them; only the ${percentText(bare)} left bare at full cover show it. Take see-through or opal flakes, or fade the glitter and match the base to it.`,
          ),
        ];
      if (baseShows === null || baseShows >= ONE_BASE) return [];
      return [
        found(
          'look',
          area,
          `The base fade of ${areaName} can’t show.`,
          'It lies too deep under the glitter. Pour less of it, or take flakes that let more through.',
        ),
      ];
    }),
};

/** Minutes to strew and tap off one pot. */
const EACH_POT = 3;

/** More pots than the glue stays open for. */
export const fadeOpenTime: Rule = {
  name: 'glue sets before the last pot',
  find: (facts) =>
    stepsOfKind(facts, 'glitter').flatMap(({ coat, planned, before }) => tooSlow(facts, coat.id, planned.pours, before)),
};

function tooSlow(
  facts: Facts,
  coat: Finding['coat'],
  pours: Facts['steps'][number]['planned']['pours'],
  before: Facts['steps'][number]['before'],
): readonly Found[] {
  const fade = facts.fades.find(({ slices }) => pours.some(({ area }) => slices.some(({ id }) => id === area)));
  const open = Math.min(...pours.map(({ area }) => before[area].glue?.open ?? Infinity));
  const needed = EACH_POT * pours.length;
  if (!fade || open >= needed) return [];
  const slow = facts.workshop.shelf.flatMap((item) =>
    item.kind === 'glue' && item.way !== 'tape' && (item.open === null || openInThisRoom(item.open[1], facts.workshop) >= needed)
      ? [item.name]
      : [],
  );
  const hands = Math.ceil(needed / open);
  return [
    found(
      'look',
      fade.area,
      `${pours.length} pots take about ${needed} min, and the glue under them takes glitter for ${open}.`,
      `It dries before the last is on. ${slow.length > 0 ? `On your shelf ${listText(slow)} ${slow.length === 1 ? 'gives' : 'give'} the time; or lay` : 'Take a resin wipe or a tacky coat, or lay'} fewer pots, ${
        hands <= 4 ? `with ${hands} pairs of hands` : 'or glue one stretch after the other'
      }.`,
      coat,
    ),
  ];
}

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
