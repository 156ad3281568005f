import { coatsOf, follows, found, masked, roomAt, type Trouble } from './cause';

/** What goes wrong with resin and its surface. */
export const resinTroubles: readonly Trouble[] = [
  {
    name: 'Fish-eyes: resin draws back in round holes',
    causes: [
      {
        says: 'Finger grease, silicone or polish under the resin.',
        cure: 'Let it cure, sand the spot dull, wash, wipe with alcohol and lay a thin coat over all of it.',
        prevent: 'Wipe with alcohol before every resin coat, and touch the cup with gloves only.',
        often: 3,
        here: (facts) => {
          const decal = follows(facts, 'resin', 'decal');
          return decal === null ? null : `Coat ${decal} is resin right over a decal, which is smoothed on by hand.`;
        },
      },
      {
        says: 'Resin over cured gloss that wasn’t sanded.',
        cure: 'Sand the whole wall dull, wash, and lay the coat again.',
        prevent: 'Sand between coats, or lay the next while the last is tacky.',
        often: 2,
        here: found('decal on gloss'),
      },
      {
        says: 'A film too thin to close.',
        cure: 'Lay a second film of 0.35 mm once this one can be sanded.',
        prevent: 'Measure the film; under 0.25 mm resin beads instead of closing.',
        often: 1,
        here: ({ design }) =>
          design.coats.some((coat) => coat.kind === 'resin' && coat.thickness < 0.25)
            ? 'A resin coat is thinner than 0.25 mm.'
            : null,
      },
    ],
  },
  {
    name: 'Craters, or lumps with a rim',
    causes: [
      {
        says: 'Pearl or pigment that wasn’t stirred through.',
        cure: 'Sand it level once cured, and close it with a clear coat.',
        prevent: 'Stir pearl for half a minute and more, let it stand, stir again.',
        often: 2,
        here: (facts) => {
          const [ink] = coatsOf(facts, 'ink');
          return ink === undefined ? null : `Coat ${ink} has colour stirred into it.`;
        },
      },
      {
        says: 'Dust or sanding slurry under the coat.',
        cure: 'Sand level, wash with water and a soft brush, dry, wipe, and coat again.',
        prevent: 'Wash after every sanding; keep the turner under a cover while it cures.',
        often: 3,
        here: (facts) => (coatsOf(facts, 'sand').length > 0 ? 'It is sanded between coats.' : null),
      },
    ],
  },
  {
    name: 'Runs or a bead at the foot',
    causes: [
      {
        says: 'A film thicker than this cup carries on this turner.',
        cure: 'While wet, wipe the foot with a gloved finger and keep turning. Once cured, sand it level.',
        prevent: 'Lay two thinner coats, turn faster, or wait until the mix has thickened.',
        often: 3,
        here: found('film that runs'),
      },
      {
        says: 'The turner stood, or isn’t level.',
        cure: 'Level the arm; if the resin still moves, turn the cup end for end.',
        prevent: 'Put a level on the arm before mixing.',
        often: 2,
      },
      {
        says: 'A warm room: resin is thinner there.',
        cure: 'Wipe the bead while it is wet.',
        prevent: 'Let the mix stand five minutes before it goes on.',
        often: 1,
        here: roomAt((celsius) => celsius >= 25),
      },
    ],
  },
  {
    name: 'Sticky after a day',
    causes: [
      {
        says: 'The ratio was off, or it wasn’t stirred through.',
        cure: 'Wait two days in a warm room. What stays sticky is scraped off, wiped with alcohol and coated anew.',
        prevent: 'Measure both parts with the same measure, scrape the sides of the pot, stir three minutes by the clock.',
        often: 3,
      },
      {
        says: 'Too much colour in the resin.',
        cure: 'It may never harden. Close it with a clear coat, or scrape it off.',
        prevent: 'Keep the load under 5 %.',
        often: 2,
        here: found('ink load'),
      },
      {
        says: 'Too cold or too damp a room.',
        cure: 'Warm it to 24 °C for a day; a box with a lamp does.',
        prevent: 'Cure at 20 °C and over, under 70 % humidity.',
        often: 2,
        here: found('too cold or too damp'),
      },
      {
        says: 'Resin that has been open for too long.',
        cure: 'Scrape off what stays soft, and coat anew with fresh resin.',
        prevent: 'Note when a bottle was opened; try a spoonful of an old one first.',
        often: 1,
        here: found('opened resin past its date'),
      },
    ],
  },
  {
    name: 'Bubbles in the cured film',
    causes: [
      {
        says: 'Air out of raw glitter as the resin sinks into it.',
        cure: 'Sand what stands up, and close it with a further coat.',
        prevent: 'Seal raw glitter, or lay a thin first coat and a second over it.',
        often: 3,
        here: found('seal raw glitter'),
      },
      {
        says: 'Stirred in fast, or a cold mix.',
        cure: 'Warm air from afar while it is wet; once cured, sand and coat.',
        prevent: 'Stir slowly; stand the closed bottles in hand-warm water first.',
        often: 2,
        here: roomAt((celsius) => celsius < 20),
      },
    ],
  },
  {
    name: 'Cloudy or greasy film',
    causes: [
      {
        says: 'Damp air while it cured.',
        cure: 'Wash with warm soapy water, dry, sand dull and coat again.',
        prevent: 'Cure under 70 % humidity, warmer than the room it stood in.',
        often: 3,
        here: ({ workshop: { settings } }) => (settings.humidity > 70 ? `The room is at ${settings.humidity} % humidity.` : null),
      },
      {
        says: 'Sanding scratches that were left under it.',
        cure: 'A further clear coat fills them, if the film is clean.',
        prevent: 'End with a 400 paper, wash, and coat the same day.',
        often: 2,
        here: (facts) => (follows(facts, 'rest', 'sand') === null ? null : 'The last thing before the rest is sanding.'),
      },
    ],
  },
  {
    name: 'Flakes or edges felt through the film',
    causes: [
      {
        says: 'Too little resin over the highest flakes.',
        cure: 'Sand the gloss dull without reaching them, and lay a further coat.',
        prevent: 'Press coarse flakes flat, and plan as many coats as bury them.',
        often: 3,
        here: found('flakes not buried', 'press chunky flakes', 'sand into flakes'),
      },
      {
        says: 'A step at an area’s edge, where glitter lies on one side only.',
        cure: 'Sand the step down once it is covered by 0.2 mm.',
        prevent: 'Carry the first resin over both sides.',
        often: 1,
        here: masked,
      },
    ],
  },
  {
    name: 'Heads on strings, or strings that lost themselves',
    causes: [
      {
        says: 'They began or ended on the wall: what still falls when the hand stops lands on one spot.',
        cure: 'While wet, draw the head out over the edge with a stick; once cured, sand it level and close it.',
        prevent: 'Carry each line over both edges in one stroke.',
        often: 3,
        here: found('strings that end on the wall'),
      },
      {
        says: 'The resin was still thin when they were laid, so they spread until they met.',
        cure: 'Lay a second, sparser set once it can be sanded.',
        prevent: 'Let the pots thicken before laying, or take a quicker resin.',
        often: 2,
        here: found('strings that run together', 'rest before strings'),
      },
      {
        says: 'The cup hung lower at one end, and they ran to it.',
        cure: 'Level the turner at once and turn on; what has run off is gone.',
        prevent: 'Set the arm level with the wet cup on it.',
        often: 1,
        here: ({ design }) =>
          design.coats.some((coat) => coat.kind === 'strings' && coat.lean !== 0)
            ? 'Strings are planned on a cup that leans.'
            : null,
      },
    ],
  },
];
