import { MOST_CRACKLE_ML } from '../design';
import { wholeShares } from '../pattern';
import { itemOf } from '../stock';
import { lengthText } from '../units';
import { heightOf, wallArea, type Station } from '../vessel';
import { areaOf, bodyOf, inThisRoom, placesOf, whereText, type CoatKind } from './coat-kind';
import { NEAT, patterned, wallOf } from './patterned';
import { NOTHING, used } from './used';

/** mm of wet ink between wall and film. */
const UNDER_FILM = 0.03;
/** Days it dries under the film at 21 °C: makers say five to six. */
const DAYS = 5.5;
/** How thick it lies on the floors of cells, beside their walls and in them, against each other. */
const [FLOOR, BESIDE, WALL] = [0.2, 1, 3] as const;

export const crackle: CoatKind<'crackle'> = {
  kind: 'crackle',
  name: 'Film-wrapped crackle',
  group: 'colour',
  explains:
    'Wet ink pressed up under a wrinkled film, which stays on for days: the folds hold the ink, the cells between them pale.',
  start: ({ shelf, stations }) => ({
    kind: 'crackle',
    note: '',
    on: 'all',
    ink: shelf.find(({ kind }) => kind === 'ink')?.id ?? NOTHING,
    ml: Math.min(MOST_CRACKLE_ML, Math.max(0.2, Math.round((wallArea(stations) * UNDER_FILM) / 0.5) / 20)),
    thinned: 6,
    cell: 14,
    seed: 1,
  }),
  lay(coat, grounds, context) {
    const ink = itemOf(context.shelf, coat.ink, 'ink');
    const places = placesOf(coat, context);
    const { stations } = context;
    const reach = reachOf(coat.ml, stations);
    const inkMl = coat.ml / (1 + coat.thinned);
    const wish = { kind: 'crackle' as const, ...wallOf(context), cell: coat.cell, reach, seed: coat.seed };
    const [, floor, beside, wall] = wholeShares(wish, stations);
    // All of the ink is there, wherever the film pressed it.
    const mean = (10 * inkMl) / wallArea(stations) / (floor * FLOOR + beside * BESIDE + wall * WALL);
    const films = [FLOOR, BESIDE, WALL].map((own) => (ink ? context.light.tint(ink, NEAT, own * mean) : null));
    const pattern = { wish, films: [null, ...films] };
    const days = Math.round((inThisRoom(DAYS * 1440, context) / 1440) * 2) / 2;
    return {
      grounds: patterned(grounds, places, pattern, context),
      body: bodyOf({
        title: `Crackle under film: ${ink?.name ?? 'an ink no longer on the shelf'}`,
        where: whereText(coat, context),
        does: `${coat.thinned > 0 ? `Thin ${inkMl.toFixed(2)} ml of the ink with ${(coat.ml - inkMl).toFixed(2)} ml of its thinner. ` : ''}Wrap thin film loosely round the cup and tape it shut below the foot. Let the ${coat.ml} ml run in at the foot and press it up with your fingers, wrinkling the film into folds about ${lengthText(coat.cell, context.settings.units)} apart: it comes ${reach >= heightOf({ stations }) ? 'all the way to the rim' : `about ${lengthText(reach, context.settings.units)} up`}. Stand it on a tray and leave the film on.`,
        needs: [ink?.name ?? 'the ink', 'its thinner', 'thin cling film', 'tape', 'a tray'],
        waitsFor: 'Smooth, cured resin, wiped with alcohol.',
        area: areaOf(places, context),
        pattern,
        uses: used(ink, inkMl),
        handsOn: 25,
        wait: {
          minutes: inThisRoom(DAYS * 1440, context),
          until: `dry under the film, after about ${days} days in this room; then it is pulled off from the seam`,
        },
        cautions: ['No flame near wet ink.', 'Gloves: ink runs out at the foot.'],
      }),
    };
  },
};

/** ml of ink that come so many mm up, to the tenth above. */
export const mlToReach = (height: number, stations: readonly Station[]): number =>
  Math.ceil(wallArea(stations, 0, Math.min(height, heightOf({ stations }))) * UNDER_FILM) / 10;

/** mm above the foot that so much ink comes, spread under the film. */
export function reachOf(ml: number, stations: readonly Station[]): number {
  const covers = (10 * ml) / UNDER_FILM;
  const tall = heightOf({ stations });
  if (wallArea(stations) <= covers) return tall;
  let [low, high] = [0, tall];
  for (let i = 0; i < 40; i += 1) {
    const middle = (low + high) / 2;
    if (wallArea(stations, 0, middle) < covers) low = middle;
    else high = middle;
  }
  return Math.round(low);
}
