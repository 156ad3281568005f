import type { Rule } from '../finding';

/** A scatter that asks for more motifs than its place can hold at this size and clearance. */
export const motifsFit: Rule = {
  name: 'motifs without room',
  find: ({ areas }) =>
    areas.areas.flatMap((area) =>
      area.motifs && area.motifs.placed < area.motifs.wanted
        ? [
            {
              level: 'look' as const,
              coat: null,
              area: area.id,
              says: `Only ${area.motifs.placed} of the ${area.motifs.wanted} motifs of ${area.name} have room.`,
              why: 'The others would touch each other or an edge. Make them smaller, or the clearance less, or ask for fewer.',
              fix: null,
            },
          ]
        : [],
    ),
};

/** An area that those laid over it take whole: nothing of it will show. */
export const areaCovered: Rule = {
  name: 'area under others',
  find: ({ areas }) =>
    areas.areas
      .filter((area) => area.area < 0.005)
      .map((area) => ({
        level: 'look',
        coat: null,
        area: area.id,
        says: `Nothing of ${area.name} is left to see.`,
        why: 'Areas further down the list lie on it and take all of its surface. Move it down the list, or remove it.',
        fix: null,
      })),
};
