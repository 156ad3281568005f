import { dropsOf } from '../design';
import { itemOf } from '../stock';
import { countText, lengthText, listText } from '../units';
import { areaOf, bodyOf, inThisRoom, placesOf, whereText, type CoatKind } from './coat-kind';
import { droppedUse, NEAT, patterned, wallOf } from './patterned';
import { NOTHING } from './used';

/** Minutes until what was dipped is dry. */
const DRY = 240;

export const floated: CoatKind<'floated'> = {
  kind: 'floated',
  name: 'Floated colours',
  group: 'colour',
  explains:
    'Colours let fall on water one after the other, each pushing the last aside, and taken up as the cup rolls over them.',
  start: ({ shelf }) => {
    const [first, second] = shelf.filter(({ kind }) => kind === 'ink');
    return {
      kind: 'floated',
      note: '',
      on: 'all',
      ink: first?.id ?? NOTHING,
      drops: 6,
      ...(second ? { also: [{ ink: second.id, drops: 6 }] } : {}),
      across: 60,
      lands: 40,
      seed: 1,
    };
  },
  lay(coat, grounds, context) {
    const colours = dropsOf(coat).map(({ ink, drops }) => ({ ink: itemOf(context.shelf, ink, 'ink'), drops }));
    const known = colours.flatMap(({ ink, drops }) => (ink ? [{ ink, drops }] : []));
    const places = placesOf(coat, context);
    const wish = {
      kind: 'floated' as const,
      ...wallOf(context),
      colours: colours.map(({ drops }) => ({ drops })),
      across: coat.across,
      seed: coat.seed,
    };
    // Whatever pushes it about, a drop stays as thick as it spread.
    const spreadTo = (Math.PI * (coat.across / 20) ** 2) / (coat.lands / 100);
    const films = colours.map(({ ink }) => (ink ? context.light.tint(ink, NEAT, (10 * ink.dropMl) / spreadTo) : null));
    const pattern = { wish, films: [null, ...films] };
    const fall = listText(known.map(({ ink, drops }) => `${countText(drops, 'drop')} of ${ink.name}`));
    return {
      grounds: patterned(grounds, places, pattern, context),
      body: bodyOf({
        title: `Floated colours: ${known.length > 0 ? listText(known.map(({ ink }) => ink.name)) : 'an ink no longer on the shelf'}`,
        where: whereText(coat, context),
        does: `Fill a basin wider than the cup is long with water, some cm deep. Let ${known.length > 0 ? fall : 'the colours'} fall by turns in this order, evenly over it; each spreads about ${lengthText(coat.across, context.settings.units)}. Close the cup’s mouth, lay it on the water at its seam and roll it over once, slowly; blow what is left aside and lift it out there.`,
        needs: [
          ...(known.length > 0 ? known.map(({ ink }) => ink.name) : ['the ink']),
          'a wide basin of water',
          'a stopper',
          'gloves',
        ],
        waitsFor: 'A dry, brushed, water-based barrier on a dry base; what isn’t to take colour is taped.',
        area: areaOf(places, context),
        pattern,
        uses: known.map(({ ink, drops }) => droppedUse(ink, drops)),
        handsOn: 30,
        wait: { minutes: inThisRoom(DRY, context), until: 'dry, with no drop of water left' },
        cautions: ['No flame near wet ink.', 'Don’t pour what is left down the drain: let it dry on paper.'],
      }),
    };
  },
};
