import type { CoatKindName } from '../design';
import { coatsOf, follows, found, type Trouble, type TroubleFacts } from './cause';

/** Says which coat is the first of some kinds, where there is one. */
const has =
  (...kinds: readonly CoatKindName[]) =>
  (facts: TroubleFacts): string | null => {
    const [first] = coatsOf(facts, ...kinds);
    return first === undefined ? null : `Coat ${first} is one.`;
  };

/** What goes wrong with pieces, pearl, foil and paper, and with what is brushed. */
export const laidOnTroubles: readonly Trouble[] = [
  {
    name: 'An edge of film, foil or a strip lifts',
    causes: [
      {
        says: 'It lies on gloss, dust or finger oil.',
        cure: 'Lift it back to where it holds, wipe with alcohol, press it down; what is stretched is cut anew.',
        prevent: 'Sand, wash and wipe before anything is laid; touch film by its edges.',
        often: 3,
        here: found('decal on gloss'),
      },
      {
        says: 'It was laid on flakes or on a coat that wasn’t smooth.',
        cure: 'Take it off, lay a coat of clear resin, cure, sand, lay a new one.',
        prevent: 'Resin until the flakes are buried, before any film.',
        often: 2,
        here: found('decal on raw glitter'),
      },
      {
        says: 'The wall leans or bulges more than a flat piece can follow.',
        cure: 'Slit the lifted edge with a fresh blade and lay the cuts over each other.',
        prevent: 'Cut strips curved and decals slit, as their templates draw them.',
        often: 2,
        here: found('strip that fits', 'piece off the cup', 'piece under the handle'),
      },
    ],
  },
  {
    name: 'A gap shows round a motif or an outline',
    causes: [
      {
        says: 'The outline is no wider than the gap.',
        cure: 'Fill the gap with a fine brush in the ground’s colour, or lay a wider line over it.',
        prevent: 'Cut the line half a millimetre wider than the gap, at least.',
        often: 3,
        here: found('outline that covers its gap'),
      },
      {
        says: 'The mask was thick, and glue stood off its edge.',
        cure: 'Glue the gap with a needle bottle and pour into it before any resin.',
        prevent: 'Thin film for masks; press its edges down last, just before the glue.',
        often: 2,
        here: has('mask'),
      },
    ],
  },
  {
    name: 'Streaks or brush marks',
    causes: [
      {
        says: 'A brush went over what had begun to set.',
        cure: 'Let it dry or cure, sand it level, lay it once more.',
        prevent: 'Lay it in one go, a section at a time, and leave it.',
        often: 3,
        here: ({ design }) => {
          const at = design.coats.findIndex((one) => one.kind === 'base' && one.way === 'brushed');
          return at < 0 ? null : `Coat ${at + 1} is brushed.`;
        },
      },
      {
        says: 'Pearl or paste wasn’t stirred through.',
        cure: 'Under the next coat they stay: level it, and lay a stirred one over.',
        prevent: 'Half a minute of stirring after the last pinch, then again before it is laid.',
        often: 2,
        here: has('pearl', 'dab'),
      },
    ],
  },
  {
    name: 'Pearl or foil that came out dull, or is gone',
    causes: [
      {
        says: 'It lies on a light ground.',
        cure: 'A thin dark tint under a second layer of it, where there is room for one.',
        prevent: 'A dark base under pearl; on white it is all but nothing.',
        often: 3,
        here: found('pearl on a light ground'),
      },
      {
        says: 'Resin floated it off: nothing held it.',
        cure: 'Cure, sand, and buff or dab anew on a tacky coat.',
        prevent: 'A clear seal over powder and foil, dry before the resin.',
        often: 3,
        here: found('seal pearl and foil', 'seal printed and metallic film'),
      },
      {
        says: 'What it was rubbed into had set already.',
        cure: 'Glue once more, thinly, and rub at once.',
        prevent: 'Rub while a knuckle still sticks and nothing comes off on it.',
        often: 2,
        here: found('into a soft coat'),
      },
    ],
  },
  {
    name: 'Ink that swam off, or resin that drew back from it',
    causes: [
      {
        says: 'Resin lay on ink that nothing held.',
        cure: 'Cure it, sand it level and lay the pattern anew: under further coats it stays as it is.',
        prevent: 'A light clear mist over dry ink, from a forearm away, dry before the resin.',
        often: 3,
        here: found('surface ink unsealed'),
      },
      {
        says: 'A heavy spray took the ink along.',
        cure: 'Wipe it off with alcohol while it is fresh, and draw it anew.',
        prevent: 'Two light mists instead of a wet one, the first dry before the second.',
        often: 2,
        here: has('grain', 'crackle', 'floated'),
      },
      {
        says: 'It ran in between flakes instead of lying in its pattern.',
        cure: 'Close it with clear resin, sand that smooth, and lay the pattern on it.',
        prevent: 'Smooth, cured resin under ink that is to lie in a pattern.',
        often: 2,
        here: found('surface ink on rough ground'),
      },
    ],
  },
  {
    name: 'Paper, or a printed sheet, is dark, blurred or blistered',
    causes: [
      {
        says: 'Resin soaked into it: it wasn’t sealed.',
        cure: 'What is soaked stays dark. Lay a new piece over it once the coat has cured.',
        prevent: 'Seal paper and print twice, on both sides, and let each dry.',
        often: 3,
        here: (facts) => {
          const bare = follows(facts, 'resin', 'paper') ?? follows(facts, 'resin', 'sheet');
          return bare === null ? found('seal printed and metallic film')(facts) : `Coat ${bare} goes straight on it.`;
        },
      },
      {
        says: 'Water or air was left under it.',
        cure: 'Prick the blister with a needle, press from its rim, seal.',
        prevent: 'Push the water out from the middle, and dry as long as the coat says.',
        often: 2,
        here: has('sheet'),
      },
    ],
  },
  {
    name: 'A motif that can hardly be seen',
    causes: [
      {
        says: 'It is as light or dark as its ground.',
        cure: 'An outline round it, or a tint over one of the two.',
        prevent: 'Choose the two by light and dark first, by hue after.',
        often: 3,
        here: found('motif that shows'),
      },
      {
        says: 'Dark flakes strayed into a light glue.',
        cure: 'Lift single flakes with a damp toothpick before the seal.',
        prevent: 'Light before dark, or a clear seal between them.',
        often: 2,
        here: found('light before dark'),
      },
    ],
  },
];
