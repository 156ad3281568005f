import { itemOf } from '../stock';
import { areaOf, bodyOf, openPlacesOf, whereText, type CoatKind } from './coat-kind';
import { settingWait } from './glitter';
import { NOTHING, POWDER, used } from './used';
import { patterned, wallOf } from './patterned';

/** Where it is drawn out it lies thinner than rubbed in: % and mm, of which its thin half and its thick one have so much. */
const DRAWN = { load: 100, film: 0.005 } as const;
const HALVES = [0.6, 1.4] as const;

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
    seed: 1,
  }),
  lay(coat, grounds, context) {
    const powder = itemOf(context.shelf, coat.ink, 'ink');
    const places = openPlacesOf(coat, context);
    const area = areaOf(places, context);
    const pattern = {
      wish: { kind: 'swirls' as const, ...wallOf(context), share: coat.share / 100, seed: coat.seed },
      films: [null, ...HALVES.map((own) => (powder ? context.light.tint(powder, DRAWN.load, DRAWN.film * own) : null))],
    };
    return {
      grounds: patterned(grounds, places, pattern, context),
      setting: context.setting,
      body: bodyOf({
        title: `Dabbed pearl: ${powder?.name ?? 'a pearl no longer on the shelf'}`,
        where: whereText(coat, context),
        does: `Dab swirls over about ${coat.share} % of it with a dry fingertip, then draw them down with a flat brush in one stroke each. Look again after 12 min.`,
        needs: [powder?.name ?? 'the pearl', 'flat brush'],
        waitsFor: 'A very thin coat of resin, warm and wet.',
        area,
        pattern,
        uses: used(powder, (area * POWDER.dabbed * coat.share) / 10000),
        handsOn: 10,
        wait: settingWait(context),
        cautions: ['Dust mask: pearl is a fine powder. No flame near.'],
      }),
    };
  },
};
