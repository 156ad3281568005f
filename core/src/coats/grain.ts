import { dropsOf, MOST_SURFACE_DROPS } from '../design';
import { itemOf } from '../stock';
import { countText, lengthText, listText } from '../units';
import { wallArea } from '../vessel';
import { areaOf, bodyOf, inThisRoom, placesOf, whereText, type CoatKind } from './coat-kind';
import { droppedUse, NEAT, patterned, wallOf } from './patterned';
import { NOTHING } from './used';

/** Minutes until brushed ink is dry to the touch. */
const DRY = 20;
/** cm² that a drop of a tone is drawn out over by a damp brush. */
const DRAWN_OUT = 110;

/** Between the brush’s hairs and under them a tone lies so thick, against what it is on average. */
const HAIRS = [0.5, 1.5] as const;

const strokeText = {
  long: 'long, light strokes',
  short: 'short strokes',
  both: 'long strokes, then short ones between them',
} as const;

export const grain: CoatKind<'grain'> = {
  kind: 'grain',
  name: 'Brushed grain',
  group: 'colour',
  explains:
    'Two to four tones of ink drawn out with a nearly dry flat brush, as wood has them, with knots where the brush goes round.',
  start: ({ shelf, stations }) => {
    const [first, second] = shelf.filter(({ kind }) => kind === 'ink');
    const drops = Math.min(MOST_SURFACE_DROPS, Math.max(1, Math.round(wallArea(stations) / DRAWN_OUT / 2)));
    return {
      kind: 'grain',
      note: '',
      on: 'all',
      ink: first?.id ?? NOTHING,
      drops,
      ...(second ? { also: [{ ink: second.id, drops }] } : {}),
      share: 85,
      along: 'up',
      strokes: 'both',
      width: 2,
      knots: 3,
      seed: 1,
    };
  },
  lay(coat, grounds, context) {
    const tones = dropsOf(coat).map(({ ink, drops }) => ({ ink: itemOf(context.shelf, ink, 'ink'), drops }));
    const known = tones.flatMap(({ ink, drops }) => (ink ? [{ ink, drops }] : []));
    const places = placesOf(coat, context);
    const area = areaOf(places, context);
    const covers = coat.share / 100;
    const mlOf = ({ ink, drops }: (typeof tones)[number]) => (ink ? drops * ink.dropMl : 0);
    const ml = tones.reduce((sum, tone) => sum + mlOf(tone), 0);
    // The brush draws all tones out alike: each lies on as much wall as there is of it.
    const thick = area > 0 ? (10 * ml) / (area * covers) : 0;
    const pattern = {
      wish: {
        kind: 'grain' as const,
        ...wallOf(context),
        along: coat.along,
        strokes: coat.strokes,
        width: coat.width,
        knots: coat.knots,
        shares: tones.map((tone) => (ml > 0 ? (covers * mlOf(tone)) / ml : covers / tones.length)),
        seed: coat.seed,
      },
      films: [
        null,
        ...tones.flatMap(({ ink }) => HAIRS.map((own) => (ink && thick > 0 ? context.light.tint(ink, NEAT, own * thick) : null))),
      ],
    };
    const names = listText(known.map(({ ink }) => ink.name));
    return {
      grounds: patterned(grounds, places, pattern, context),
      body: bodyOf({
        title: `Brushed grain: ${known.length > 0 ? names : 'an ink no longer on the shelf'}`,
        where: whereText(coat, context),
        does: `Put the drops on a plate, take up one tone after the other with a flat brush damp with alcohol, and draw ${strokeText[coat.strokes]} ${coat.along === 'up' ? 'from foot to rim' : 'round the turning cup'}, streaks about ${lengthText(coat.width, context.settings.units)} wide${coat.knots > 0 ? `; go round ${countText(coat.knots, 'knot')} and dot ${coat.knots === 1 ? 'its heart' : 'their hearts'}` : ''}. Leave about ${100 - coat.share} % of the ground showing.`,
        needs: [
          ...(known.length > 0 ? known.map(({ ink }) => ink.name) : ['the ink']),
          'flat brush',
          'a plate',
          'alcohol to thin with',
        ],
        waitsFor: 'A dry base, or cured, sanded and washed resin.',
        area,
        pattern,
        uses: known.map(({ ink, drops }) => droppedUse(ink, drops)),
        handsOn: 15 + 5 * tones.length,
        wait: { minutes: inThisRoom(DRY, context), until: 'dry to the touch, no smell of alcohol left' },
        cautions: ['No flame near wet ink or alcohol.', 'Gloves and air: alcohol vapour.'],
      }),
    };
  },
};
