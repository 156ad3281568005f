import { pigmentFilm } from '../colour';
import { itemOf } from '../stock';
import { areaOf, bodyOf, inThisRoom, placesOf, whereText, type CoatKind } from './coat-kind';
import { anyFilm, used } from './used';
import { underFilm } from './under-film';

/** Minutes until brushed adhesive is clear and tacky. */
const TACKY = 20;
/** Sheets torn and brushed off beside what lies on the cup. */
const WASTE = 1.2;

export const foil: CoatKind<'foil'> = {
  kind: 'foil',
  name: 'Foil',
  group: 'laid on',
  explains: 'Metal leaf or transfer foil on brushed adhesive, whole or in flecks. It wants a clear coat before resin.',
  start: ({ shelf }) => ({
    kind: 'foil',
    note: '',
    on: 'all',
    film: shelf.find((item) => item.kind === 'film' && item.type === 'metallic')?.id ?? anyFilm(shelf),
    share: 70,
  }),
  lay(coat, grounds, context) {
    const leaf = itemOf(context.shelf, coat.film, 'film');
    const places = placesOf(coat, context);
    const area = areaOf(places, context);
    const film = leaf ? pigmentFilm(leaf.colour, coat.share / 100, 1) : null;
    return {
      grounds: underFilm(grounds, places, film, context, () => ({ loose: true, sealed: false })),
      body: bodyOf({
        title: `Foil: ${leaf?.name ?? 'a foil no longer on the shelf'}`,
        where: whereText(coat, context),
        does: `Brush adhesive thin, wait ${TACKY} min until it is clear, lay the leaf over about ${coat.share} % of it, rub down through paper, brush the rest off.`,
        needs: [leaf?.name ?? 'the foil', 'leaf adhesive', 'two soft brushes'],
        waitsFor: 'A dry base or cured, sanded resin.',
        area,
        uses: leaf ? used(leaf, (area * 100 * (coat.share / 100) * WASTE) / (leaf.width * leaf.length)) : [],
        handsOn: TACKY + 15,
        wait: { minutes: inThisRoom(60, context), until: 'the adhesive is dry' },
      }),
    };
  },
};
