import { countText, percentText } from '../../units';
import { intoWet, keptApart } from '../../coats';
import { isFilm } from '../../design';
import { endsOnWall } from '../../wet';
import { stepsOfKind, type Rule } from '../finding';

/** Share of the wall from which on lines are no lines any more. */
const RUN_TOGETHER = 0.9;
/** Minutes since mixing before which resin is at its thinnest. */
const FRESH = 5;

/** Colour meant for a coat that is no longer wet. */
export const stringsInWet: Rule = {
  name: 'strings into wet resin',
  find: (facts) =>
    stepsOfKind(facts, 'strings').flatMap(({ coat, index, planned }) => {
      const under = facts.steps.slice(0, index).findLast((step) => !intoWet.includes(step.coat.kind))?.coat;
      if (under && isFilm(under)) return [];
      return [
        {
          level: 'stop' as const,
          coat: coat.id,
          area: null,
          says: `No wet resin lies under “${planned.title}”.`,
          why: 'Strings are laid into a coat of resin that was spread just now: on a dry one they stand as they fell, and no resin is held back for them.',
          fix: { does: 'insert coat' as const, label: 'Add a coat of resin before it', kind: 'resin' as const, before: coat.id },
        },
      ];
    }),
};

/** Lines that begin or end on the wall. */
export const stringsEnd: Rule = {
  name: 'strings that end on the wall',
  find: (facts) =>
    stepsOfKind(facts, 'strings').flatMap(({ coat, planned }) =>
      coat.way !== 'up' || !endsOnWall(coat, facts.design.cup.stations).some(Boolean)
        ? []
        : [
            {
              level: 'look' as const,
              coat: coat.id,
              area: null,
              says: `“${planned.title}” ends on the wall and grows heads there.`,
              why: 'What still falls when the hand stops lands on one spot. Carried over both edges, the lines stay even.',
              fix: { does: 'set coat' as const, label: 'Carry them over both edges', coat: { ...coat, reach: null } },
            },
          ],
    ),
};

/** Lines or drops that cover all of the wall once they lie still. */
export const stringsRun: Rule = {
  name: 'strings that run together',
  find: (facts) =>
    stepsOfKind(facts, 'strings').flatMap(({ coat, planned }) => {
      const covers = planned.strings?.covers ?? 0;
      if (covers < RUN_TOGETHER) return [];
      const apart = planned.strings ? keptApart(coat, planned.strings, facts.design.cup.stations) : null;
      return [
        {
          level: 'look' as const,
          coat: coat.id,
          area: null,
          says: `“${planned.title}” covers ${percentText(covers, 0)} of the wall once it lies still: ${coat.way === 'drops' ? 'drops' : 'lines'} run into each other.`,
          why: 'They spread until the resin has thickened. Less of it, fewer of them or a longer rest before laying keeps them apart.',
          fix: apart
            ? {
                does: 'set coat' as const,
                label: `Lay ${countText(apart.count, coat.way === 'drops' ? 'drop' : 'line')} of ${apart.ml} ml in all`,
                coat: apart,
              }
            : null,
        },
      ];
    }),
};

/** Laid too soon, or when nothing runs any more. */
export const stringsRest: Rule = {
  name: 'rest before strings',
  find: (facts) =>
    stepsOfKind(facts, 'strings').flatMap(({ coat, planned }) => {
      if (planned.strings === null) return [];
      const { potLife } = planned.strings.drive;
      const late = coat.rest > potLife;
      if (!late && coat.rest >= FRESH) return [];
      const rest = late ? Math.floor(potLife * 0.75) : FRESH + 3;
      return [
        {
          level: late ? ('look' as const) : ('tip' as const),
          coat: coat.id,
          area: null,
          says: late
            ? `After ${countText(coat.rest, 'minute')} this resin is past its pot life of ${countText(Math.round(potLife), 'minute')}.`
            : 'Fresh resin is at its thinnest: strings laid at once spread widest.',
          why: late
            ? 'It strings off the stick and no longer levels; the pot may go hot.'
            : 'A rest of 5 to 10 min before laying keeps them narrower.',
          fix: {
            does: 'set coat' as const,
            label: `Lay them ${countText(rest, 'minute')} after mixing`,
            coat: { ...coat, rest },
          },
        },
      ];
    }),
};

/** Lines along an edge that nobody has named, or that is gone. */
export const stringsAlong: Rule = {
  name: 'strings along an edge',
  find: (facts) =>
    stepsOfKind(facts, 'strings').flatMap(({ coat, planned }) =>
      coat.way !== 'edge' || facts.areas.areas.some(({ id, own }) => id === coat.area && own.length > 0)
        ? []
        : [
            {
              level: 'stop' as const,
              coat: coat.id,
              area: null,
              says: `“${planned.title}” follows an edge, and none is named.`,
              why: 'Choose the area along whose upper edge it is laid, or lay it foot to rim.',
              fix: { does: 'set coat' as const, label: 'Lay it foot to rim', coat: { ...coat, way: 'up' as const } },
            },
          ],
    ),
};
