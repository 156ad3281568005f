import { pigmentFilm } from '../colour';
import { itemOf } from '../stock';
import { lengthText } from '../units';
import { areaOf, bodyOf, inThisRoom, placesOf, whereText, type CoatKind } from './coat-kind';
import { NOTHING, used } from './used';
import { underFilm } from './under-film';

/** Pulled back in short strokes it stands half as high on average as at its points. */
const MEAN = 0.5;
/** Minutes a mm of paste dries. */
const DRY = 480;

export const paste: CoatKind<'paste'> = {
  kind: 'paste',
  name: 'Textured paste',
  group: 'laid on',
  explains: 'Thick paste pulled back with a brush in short strokes; its points are rubbed down once dry.',
  start: ({ shelf }) => ({
    kind: 'paste',
    note: '',
    on: 'all',
    paint: shelf.find((item) => item.kind === 'paint')?.id ?? NOTHING,
    share: 60,
    raised: 0.5,
  }),
  lay(coat, grounds, context) {
    const item = itemOf(context.shelf, coat.paint, 'paint');
    const places = placesOf(coat, context);
    const area = areaOf(places, context);
    const film = item ? pigmentFilm(item.colour, coat.share / 100, 1) : null;
    return {
      grounds: underFilm(grounds, places, film, context, ({ thickness }) => ({ thickness: thickness + coat.raised })),
      body: bodyOf({
        title: `Textured paste: ${item?.name ?? 'a paste no longer on the shelf'}`,
        where: whereText(coat, context),
        does: `Lay it ${lengthText(coat.raised, context.settings.units)} high over about ${coat.share} %, pull it back in short strokes with a stiff brush. Rub the points down once dry.`,
        needs: [item?.name ?? 'the paste', 'palette knife', 'stiff brush', 'fine sandpaper'],
        waitsFor: 'A dry base or cured, sanded resin.',
        area,
        uses: used(item, (area * coat.raised * MEAN * (coat.share / 100)) / 10),
        handsOn: 25,
        wait: { minutes: inThisRoom(DRY * coat.raised, context), until: 'hard under a fingernail, points rubbed down' },
        cautions: ['Dust mask when the points are rubbed down.'],
      }),
    };
  },
};
