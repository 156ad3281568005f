import { itemOf } from '../stock';
import { areaOf, bodyOf, openPlacesOf, whereText, type CoatKind } from './coat-kind';
import { settingWait } from './glitter';
import { NOTHING, POWDER, used } from './used';
import { underFilm } from './under-film';

/** Rubbed in it is all pearl, a few platelets deep: % and mm. */
const RUBBED = { load: 100, film: 0.008 } as const;

export const buff: CoatKind<'buff'> = {
  kind: 'buff',
  name: 'Buffed pearl',
  group: 'flakes',
  explains: 'Dry pearl rubbed into a tacky coat with a fingertip until it shines like foil. It has to be sealed.',
  start: ({ shelf }) => ({
    kind: 'buff',
    note: '',
    on: 'all',
    ink: shelf.find((item) => item.kind === 'ink' && item.type === 'pearl')?.id ?? NOTHING,
  }),
  lay(coat, grounds, context) {
    const powder = itemOf(context.shelf, coat.ink, 'ink');
    const places = openPlacesOf(coat, context);
    const area = areaOf(places, context);
    const film = powder ? context.light.tint(powder, RUBBED.load, RUBBED.film) : null;
    // Nothing holds it but glue that is still tacky; on a dry place it is wiped off again.
    const held = places.filter((place) => grounds[place].glue);
    return {
      grounds: underFilm(grounds, held, film, context, ({ glue, stuckBy }) => ({
        glue: null,
        stuckBy: glue?.way ?? stuckBy,
        loose: true,
        sealed: false,
      })),
      setting: context.setting,
      body: bodyOf({
        title: `Buffed pearl: ${powder?.name ?? 'a pearl no longer on the shelf'}`,
        where: whereText(coat, context),
        does: 'Dab it on, then rub in small circles until nothing more comes off and it shines. Brush the rest away.',
        needs: [powder?.name ?? 'the pearl', 'soft fingertip or make-up sponge', 'soft brush'],
        waitsFor: 'Glue that is clear and tacky, no longer wet.',
        area,
        uses: used(powder, (area * POWDER.buffed) / 100),
        handsOn: 12,
        wait: settingWait(context),
        cautions: ['Dust mask: pearl is a fine powder.'],
      }),
    };
  },
};
