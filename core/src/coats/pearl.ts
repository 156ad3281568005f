import { itemOf } from '../stock';
import { areaOf, bodyOf, inThisRoom, placesOf, whereText, type CoatKind } from './coat-kind';
import { NOTHING, used } from './used';
import { underFilm } from './under-film';

/** Pearl stirred into the glue, % of its volume; what it is of the film once the water is gone. */
const STIRRED = 10;
const DRY = 30;
/** mm a coat is wet and dry */
const FILM = { wet: 0.1, dry: 0.04 } as const;

export const pearl: CoatKind<'pearl'> = {
  kind: 'pearl',
  name: 'Pearl base',
  group: 'under',
  explains: 'Pearl powder stirred into clear glue and brushed on as the base: a soft shine under see-through flakes.',
  start: ({ shelf }) => ({
    kind: 'pearl',
    note: '',
    on: 'all',
    ink: shelf.find((item) => item.kind === 'ink' && item.type === 'pearl')?.id ?? NOTHING,
    glue: shelf.find((item) => item.kind === 'glue' && item.way === 'brush-on')?.id ?? NOTHING,
    passes: 2,
  }),
  lay(coat, grounds, context) {
    const powder = itemOf(context.shelf, coat.ink, 'ink');
    const glue = itemOf(context.shelf, coat.glue, 'glue');
    const places = placesOf(coat, context);
    const area = areaOf(places, context);
    const ml = (area * FILM.wet * coat.passes) / 10;
    const film = powder ? context.light.tint(powder, DRY, FILM.dry * coat.passes) : null;
    return {
      grounds: underFilm(grounds, places, film, context, ({ thickness }) => ({ thickness: thickness + FILM.dry * coat.passes })),
      body: bodyOf({
        title: `Pearl base: ${powder?.name ?? 'a pearl no longer on the shelf'}`,
        where: whereText(coat, context),
        does: `Stir one part of pearl into nine of glue until no lump is left. ${coat.passes === 1 ? 'One thin coat' : `${coat.passes} thin coats`}, brushed round the cup, each dry before the next.`,
        needs: [powder?.name ?? 'the pearl', glue?.name ?? 'clear glue', 'soft flat brush'],
        waitsFor: 'A dry base, or a scuffed and clean wall.',
        area,
        thickness: FILM.dry * coat.passes,
        uses: [...used(powder, (ml * STIRRED) / 100), ...used(glue, ml)],
        handsOn: 6 + 5 * coat.passes,
        wait: {
          minutes: inThisRoom((glue?.dryMinutes || glueDry) * coat.passes, context),
          until: 'clear and dry: no white left in the glue',
        },
        cautions: ['Dust mask while powder is loose.'],
      }),
    };
  },
};

/** Minutes a coat of clear glue dries when its own label says nothing. */
const glueDry = 60;
