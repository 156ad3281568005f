import { itemOf } from '../../stock';
import { lengthText } from '../../units';
import { decalFit, stripAround } from '../../vessel';
import { stepsOfKind, type Found, type Rule } from '../finding';

/** Decals, sheets and tags that are wider than the cup is round, or reach over foot or rim. */
export const pieceOffTheCup: Rule = {
  name: 'piece off the cup',
  find: (facts) =>
    stepsOfKind(facts, 'decal', 'sheet', 'tag').flatMap(({ coat }): readonly Found[] => {
      const { wrap, off } = decalFit(facts.design.cup.stations, coat);
      if (wrap <= 360 && off.length === 0) return [];
      return [
        {
          level: 'stop',
          coat: coat.id,
          area: null,
          says:
            wrap > 360
              ? `“${coat.name}” is ${lengthText(coat.width, facts.workshop.settings.units)} wide, more than this cup is round.`
              : `“${coat.name}” doesn’t fit between foot and rim.`,
          why: wrap > 360 ? 'Its ends would lie over each other. Make it narrower, or use two.' : off.join(' '),
          fix: null,
        },
      ];
    }),
};

/** Strips that are too short, too wide for their film, or hang over an edge. */
export const stripFits: Rule = {
  name: 'strip that fits',
  find: (facts) =>
    stepsOfKind(facts, 'strip').flatMap(({ coat }): readonly Found[] => {
      const { stations } = facts.design.cup;
      const { units } = facts.workshop.settings;
      const { cutLength, over, puckers, difference } = stripAround(stations, coat.width, coat.centre);
      const film = itemOf(facts.workshop.shelf, coat.film, 'film');
      const about = { coat: coat.id, area: null } as const;
      const needed = Math.ceil(cutLength);
      return [
        ...(over > 0
          ? [
              {
                ...about,
                level: 'stop' as const,
                says: `The strip stands ${lengthText(over, units)} over the edge of the cup.`,
                why: 'What hangs over can’t be stuck down. Move its middle, or make it narrower.',
                fix: null,
              },
            ]
          : []),
        ...(coat.length < cutLength
          ? [
              {
                ...about,
                level: 'stop' as const,
                says: `The strip is ${lengthText(cutLength - coat.length, units)} short.`,
                why: 'Once round there and 5 mm over its own start: a gap at the seam is seen and lets resin under.',
                fix: {
                  does: 'set figure' as const,
                  label: `Cut ${lengthText(needed, units)}`,
                  coat: coat.id,
                  figure: 'length' as const,
                  value: needed,
                },
              },
            ]
          : []),
        ...(film && coat.width > Math.max(film.width, film.length)
          ? [
              {
                ...about,
                level: 'stop' as const,
                says: `${film.name} comes only ${lengthText(Math.max(film.width, film.length), units)} wide.`,
                why: 'The strip can’t be cut from it. Make it narrower, or take another film.',
                fix: null,
              },
            ]
          : []),
        ...(puckers
          ? [
              {
                ...about,
                level: 'look' as const,
                says: `One edge of the strip is ${lengthText(difference, units)} longer than the other on this wall.`,
                why: 'Cut straight it puckers. Cut it as the curved strip that the templates give, or make it narrower.',
                fix: null,
              },
            ]
          : []),
      ];
    }),
};

/** mm that an outline covers beside its gap, at least. */
const BESIDE = 0.5;

export const outlineCovers: Rule = {
  name: 'outline that covers its gap',
  find: (facts) =>
    stepsOfKind(facts, 'outline').flatMap(({ coat }) => {
      const needed = coat.gap + BESIDE;
      if (coat.width >= needed - 1e-9) return [];
      const { units } = facts.workshop.settings;
      return [
        {
          level: 'look' as const,
          coat: coat.id,
          area: null,
          says: `An outline of ${lengthText(coat.width, units)} can’t cover a gap of ${lengthText(coat.gap, units)}.`,
          why: 'It needs half a millimetre more than the gap, or the gap looks out beside it.',
          fix: {
            does: 'set figure' as const,
            label: `Cut it ${lengthText(needed, units)} wide`,
            coat: coat.id,
            figure: 'width' as const,
            value: needed,
          },
        },
      ];
    }),
};
