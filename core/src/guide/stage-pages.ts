/** The stages of a design, in the order of the work. */
export const stageNames = ['cup', 'areas', 'colour', 'coats', 'amounts', 'check', 'card'] as const;
export type StageName = (typeof stageNames)[number];

/** A page on a stage: what is decided there, and which mistake that saves from. */
export interface StagePage {
  readonly title: string;
  readonly decides: string;
  readonly saves: string;
  /** how it is gone about */
  readonly how: readonly string[];
}

export const stagePages: Readonly<Record<StageName, StagePage>> = {
  cup: {
    title: 'Cup',
    decides: 'How large the wall is, height by height. Every amount after this is worked out for that surface.',
    saves:
      'Going by what a cup holds: a cup twice as tall as wide has a quarter more wall than one as tall as wide that holds the same, and the resin that was enough for one stops short on the other.',
    how: [
      'Lay a sewing tape round the cup level, without pulling, at the foot, at the rim and wherever the wall bends.',
      'Measure how far up each of these lies, along a ruler held upright.',
      'Say how wide the strip under the lip is that stays bare.',
    ],
  },
  areas: {
    title: 'Areas',
    decides: 'Where each colour goes: its edges in mm, its surface in cm², and which area lies on which.',
    saves:
      'Teeth that don’t meet at the seam, sections that drift apart round the cup, and a strip that nobody planned a colour for.',
    how: [
      'Add bands, sections, waves or motifs; drag their edges on the cup or on the flat wall, or type them.',
      'What lies further down the list lies on top. “Left over” says what no area covers.',
      'Templates print at true size, to be laid round the cup and cut along.',
    ],
  },
  colour: {
    title: 'Colour',
    decides: 'What is measured for each area, how much of the base still shows, and how it looks from across the room.',
    saves:
      'Equal spoons that don’t look equal: a spoon of a fine cut covers half as much again as one of a chunky cut, or more. And pouring far more than the glue can hold.',
    how: [
      'Choose jars; the first begins with what covers the area the way it will be glued.',
      '“By the spoon” is what you measure, “by the eye” is what faces you.',
      'A colour you have in mind is matched under “Find a mix”; a change of colour is planned under “Fade”.',
    ],
  },
  coats: {
    title: 'Coats',
    decides: 'What is done, in which order, and how long each coat waits for the next.',
    saves: 'A coat over one that isn’t ready: fisheyes, lifted glitter, resin that stays soft. Those can cost the whole cup.',
    how: [
      'Press Suggest for a whole plan by your ways and shelf, and change it: drag a coat, or move it with Alt and the arrows.',
      'A sentence beside a coat says what is wrong there, why, and offers what mends it.',
      'Labels, local codes and whoever is licensed have the last word on safety.',
    ],
  },
  amounts: {
    title: 'Amounts',
    decides: 'How much of each part is measured, in steps you can read off your own cups and spoons.',
    saves: 'Mixing “about 30 ml”: running out half way round, or rounding one part so that the ratio is off and it never cures.',
    how: [
      'What it takes in all stands first, beside what is on your shelf.',
      'Every mix is rounded up with its ratio kept; the scale’s figures stand below the spoon’s.',
    ],
  },
  check: {
    title: 'Check',
    decides: 'Whether the cup can be made as it is planned, and what to wear and have at hand while it is.',
    saves: 'Finding out on the third day what could be read on the first.',
    how: [
      'Each finding says what is wrong, why, and offers what mends it; all of it can be undone.',
      'Something already went wrong? Choose what you see: its causes stand in the order in which this design speaks for them.',
    ],
  },
  card: {
    title: 'Card',
    decides: 'What anyone needs to make this cup again, on one page.',
    saves: 'The cup that sold and can’t be repeated, since only its colours were written down.',
    how: [
      'Print it, or open it as a PDF; it holds the areas, every mix, the coats and their waits.',
      'Save the design as a file to give it away with the jars it needs.',
    ],
  },
};
