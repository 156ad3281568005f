import type { Rule } from '../finding';

export const aboveLip: Rule = {
  name: 'coats above the lip strip',
  find: ({ design, areas }) =>
    areas.areas
      .filter(
        (area) =>
          area.to !== null && area.to > design.cup.stations[design.cup.stations.length - 1].height - design.cup.lipStrip + 1e-9,
      )
      .map((area) => ({
        level: 'look',
        coat: null,
        area: area.id,
        says: `${area.name} reaches into the ${design.cup.lipStrip} mm under the lip that stay bare.`,
        why: 'Lips touch it there, and cured resin isn’t food-safe. End the area lower, or make the strip narrower on the cup.',
        fix: null,
      })),
};
