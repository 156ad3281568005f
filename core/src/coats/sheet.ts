import { itemOf } from '../stock';
import { lengthText } from '../units';
import { bodyOf, inThisRoom, type CoatKind } from './coat-kind';
import { repeatedText, spotText } from './piece-words';
import { anyFilm, pieceSheets, used } from './used';

/** Minutes a water-slide sheet dries before it is sealed. */
const DRY = 240;

export const sheet: CoatKind<'sheet'> = {
  kind: 'sheet',
  name: 'Printed sheet',
  group: 'laid on',
  explains: 'A printed water-slide sheet: sealed twice, soaked, slid on, smoothed, dried, and sealed again before resin.',
  start: ({ shelf, height, front }) => ({
    kind: 'sheet',
    note: '',
    film: shelf.find((item) => item.kind === 'film' && item.type === 'printed')?.id ?? anyFilm(shelf),
    name: 'Sheet',
    width: 90,
    height: 60,
    centre: Math.round(height / 2),
    angle: front,
    times: 1,
    mirrored: false,
  }),
  lay(coat, grounds, context) {
    const film = itemOf(context.shelf, coat.film, 'film');
    const { units } = context.settings;
    return {
      grounds,
      body: bodyOf({
        title: `Printed sheet: ${coat.name}`,
        where: spotText(coat, units),
        does: `Seal the print twice and let it dry. Soak the sheet (${lengthText(coat.width, units)} × ${lengthText(coat.height, units)}) for half a minute, slide it on, push the water out from the middle.${repeatedText(coat, context)}`,
        needs: [film?.name ?? 'the printed sheet', 'clear spray', 'bowl of water', 'soft squeegee'],
        waitsFor: 'Smooth, cured resin, clean of finger oil.',
        area: null,
        uses: film ? used(film, pieceSheets(film, coat)) : [],
        handsOn: 20 * coat.times,
        wait: { minutes: inThisRoom(DRY, context), until: 'dry: no water left under it' },
      }),
    };
  },
};
