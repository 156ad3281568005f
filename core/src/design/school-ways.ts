import type { School, Schools } from './schools';

/** One way of a school, and what speaks for it and against. */
interface Way<Name extends School> {
  readonly way: Schools[Name];
  readonly name: string;
  readonly good: string;
  readonly bad: string;
}

/** Every school with its ways: what is asked, and what is said for and against each. */
export const schoolWays: { readonly [Name in School]: { readonly asks: string; readonly ways: readonly Way<Name>[] } } = {
  ground: {
    asks: 'Under the glitter',
    ways: [
      {
        way: 'matched',
        name: 'paint like the glitter',
        good: 'Gaps between flakes don’t show.',
        bad: 'A paint for every colour, and its drying time.',
      },
      {
        way: 'white',
        name: 'white',
        good: 'Yellows, neons and see-through flakes glow over it; one paint for all.',
        bad: 'Every gap in a dark glitter shows.',
      },
      {
        way: 'bare',
        name: 'bare wall',
        good: 'Quick, and metal shines through see-through flakes.',
        bad: 'The wall’s grey shows in gaps and dulls light colours.',
      },
    ],
  },
  painting: {
    asks: 'Paint is',
    ways: [
      {
        way: 'sprayed',
        name: 'sprayed',
        good: 'Even, no strokes.',
        bad: 'Wants a booth or a windless day, a respirator, and hours.',
      },
      {
        way: 'brushed',
        name: 'brushed',
        good: 'Indoors, dry in minutes with warm air.',
        bad: 'Strokes can show through fine glitter.',
      },
      {
        way: 'pearl in glue',
        name: 'pearl in glue',
        good: 'A soft shine, no spray at all.',
        bad: 'Shows little over a light wall, and hides less than paint.',
      },
    ],
  },
  sealing: {
    asks: 'Raw glitter is sealed',
    ways: [
      {
        way: 'always',
        name: 'always',
        good: 'No flake floats off into the resin.',
        bad: 'Half an hour more, and it soaks up less.',
      },
      {
        way: 'after dry glue',
        name: 'after dry glue only',
        good: 'Only where resin could soften the glue.',
        bad: 'Loose flakes on a resin wipe have to be brushed off with care.',
      },
      { way: 'never', name: 'never', good: 'One coat less.', bad: 'Loose flakes wander, and dry glue can soften.' },
    ],
  },
  firstCoat: {
    asks: 'Over raw glitter comes',
    ways: [
      {
        way: 'one thick',
        name: 'one thick coat',
        good: 'One mix, one wait.',
        bad: 'Nearer to running; bubbles have further to rise.',
      },
      {
        way: 'two thin',
        name: 'two thin coats',
        good: 'Runs less and lets bubbles out.',
        bad: 'A mix and a wait more, and what stays in two pots.',
      },
    ],
  },
  betweenCoats: {
    asks: 'Between coats of resin',
    ways: [
      { way: 'sand', name: 'cure and sand', good: 'Smooth, and the surest bond.', bad: 'A day more, and dust.' },
      {
        way: 'high spots',
        name: 'sand high spots only',
        good: 'Less work, less risk of meeting flakes.',
        bad: 'What stays glossy bonds less well.',
      },
      {
        way: 'tack',
        name: 'recoat while tacky',
        good: 'Bonds by itself, no sanding, a day sooner.',
        bad: 'The window may open at night; what is uneven stays so.',
      },
    ],
  },
  bubbles: {
    asks: 'Bubbles are driven out with',
    ways: [
      {
        way: 'flame',
        name: 'a flame',
        good: 'Quickest.',
        bad: 'Never near wet ink, spray or alcohol; it scorches and starts runs.',
      },
      { way: 'warm air', name: 'warm air', good: 'Gentle, no fire.', bad: 'Pushes thin resin about, and dust with it.' },
      { way: 'leave', name: 'nothing', good: 'Nothing moves.', bad: 'Thick or cold resin keeps some.' },
    ],
  },
  mixing: {
    asks: 'A and B are stirred',
    ways: [
      {
        way: 'together',
        name: 'together, 3 min',
        good: 'Quick, and less of the pot life gone.',
        bad: 'Settled or cold parts mix less well.',
      },
      {
        way: 'each alone first',
        name: 'each alone 1 min, then together 3 min',
        good: 'What has settled comes up.',
        bad: 'Two sticks and two minutes more.',
      },
    ],
  },
  unmasking: {
    asks: 'Masks are pulled',
    ways: [
      {
        way: 'while wet',
        name: 'while wet',
        good: 'A soft edge lies down by itself.',
        bad: 'Only within 20–30 min, and a slip smears.',
      },
      {
        way: 'after drying',
        name: 'after drying',
        good: 'No hurry, nothing smears.',
        bad: 'A thick film tears: score it first.',
      },
    ],
  },
};
