import { itemOf } from '../stock';
import { areaOf, bodyOf, openPlacesOf, whereText, type CoatKind } from './coat-kind';
import { settingWait } from './glitter';
import { NOTHING, POWDER, used } from './used';
import { underFilm } from './under-film';

/** Where it is drawn out it lies thinner than rubbed in: % and mm. */
const DRAWN = { load: 100, film: 0.005 } as const;

export const dab: CoatKind<'dab'> = {
  kind: 'dab',
  name: 'Dabbed pearl',
  group: 'colour',
  explains: 'Dry pearl dabbed in swirls on a very thin, warm, wet coat over a dark base, drawn down with a flat brush.',
  start: ({ shelf }) => ({
    kind: 'dab',
    note: '',
    on: 'all',
    ink: shelf.find((item) => item.kind === 'ink' && item.type === 'pearl')?.id ?? NOTHING,
    share: 40,
  }),
  lay(coat, grounds, context) {
    const powder = itemOf(context.shelf, coat.ink, 'ink');
    const places = openPlacesOf(coat, context);
    const area = areaOf(places, context);
    const film = powder ? context.light.tint(powder, DRAWN.load, (DRAWN.film * coat.share) / 100) : null;
    return {
      grounds: underFilm(grounds, places, film, context),
      setting: context.setting,
      body: bodyOf({
        title: `Dabbed pearl: ${powder?.name ?? 'a pearl no longer on the shelf'}`,
        where: whereText(coat, context),
        does: `Dab swirls over about ${coat.share} % of it with a dry fingertip, then draw them down with a flat brush in one stroke each. Look again after 12 min.`,
        needs: [powder?.name ?? 'the pearl', 'flat brush'],
        waitsFor: 'A very thin coat of resin, warm and wet.',
        area,
        uses: used(powder, (area * POWDER.dabbed * coat.share) / 10000),
        handsOn: 10,
        wait: settingWait(context),
        cautions: ['Dust mask: pearl is a fine powder. No flame near.'],
      }),
    };
  },
};
