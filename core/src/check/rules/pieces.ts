import { pieceEdges } from '../../pieces';
import { within } from '../../regions';
import { itemOf } from '../../stock';
import { countText, lengthText } from '../../units';
import { decalFit, stripAround } from '../../vessel';
import { stepsOfKind, type Found, type Rule } from '../finding';

/** Decals, sheets and tags that are wider than the cup is round, or reach over foot or rim. */
export const pieceOffTheCup: Rule = {
  name: 'piece off the cup',
  find: (facts) =>
    stepsOfKind(facts, 'decal', 'sheet', 'tag').flatMap(({ coat }): readonly Found[] => {
      const { wrap, off } = decalFit(facts.design.cup.stations, coat);
      const wide = lengthText(coat.width, facts.workshop.settings.units);
      const about = { level: 'stop' as const, coat: coat.id, area: null, fix: null };
      if (wrap > 360)
        return [
          {
            ...about,
            says: `“${coat.name}” is ${wide} wide, more than this cup is round.`,
            why: 'Its ends would lie over each other. Make it narrower, or use two.',
          },
        ];
      if (wrap * coat.times > 360)
        return [
          {
            ...about,
            says: `${coat.times} times “${coat.name}”, ${wide} wide each, is more than this cup is round.`,
            why: `They would lie over each other; ${countText(Math.floor(360 / wrap), 'of them fits', 'of them fit')} side by side. Take fewer, or make them narrower.`,
          },
        ];
      if (off.length === 0) return [];
      return [{ ...about, says: `“${coat.name}” doesn’t fit between foot and rim.`, why: off.join(' ') }];
    }),
};

/** Pieces that run into the patch under the handle. */
export const pieceUnderHandle: Rule = {
  name: 'piece under the handle',
  find: (facts) => {
    const { region } = facts.areas.barePatch;
    if (region.length === 0) return [];
    return stepsOfKind(facts, 'decal', 'sheet', 'tag', 'strip').flatMap(({ coat, planned }): readonly Found[] => {
      // Of one that goes all the way round another rule speaks.
      if ('height' in coat && decalFit(facts.design.cup.stations, coat).wrap > 360) return [];
      if (within(pieceEdges(coat, facts.design.cup, facts.areas).region, region).length === 0) return [];
      const round = coat.kind === 'strip';
      return [
        {
          level: round ? 'look' : 'stop',
          coat: coat.id,
          area: null,
          says: `“${planned.title}” runs into the handle.`,
          why: round
            ? 'It can’t go once round there. Let it begin and end at the handle, or lay it above or below.'
            : 'Nothing lies flat over a joint. Turn it round the cup, or move it up or down.',
          fix: null,
        },
      ];
    });
  },
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
