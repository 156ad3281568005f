import { outlineName } from '../motif';
import { itemOf } from '../stock';
import { lengthText } from '../units';
import { bodyOf, type CoatKind } from './coat-kind';
import { repeatedText, spotText } from './piece-words';
import { pieceSheets, used } from './used';

export const decal: CoatKind<'decal'> = {
  kind: 'decal',
  name: 'Decal',
  group: 'laid on',
  explains: 'A cut or printed film laid on smooth resin, closed over by the coats after it.',
  start: ({ height, shelf, front }) => ({
    kind: 'decal',
    note: '',
    name: 'Decal',
    film: shelf.find(({ kind }) => kind === 'film')?.id ?? null,
    width: 70,
    height: 50,
    centre: Math.round(height / 2),
    angle: front,
    times: 1,
    outline: null,
    mirrored: false,
  }),
  lay: (coat, grounds, context) => {
    const { shelf } = context;
    const { units } = context.settings;
    const film = coat.film === null ? undefined : itemOf(shelf, coat.film, 'film');
    return {
      grounds,
      body: bodyOf({
        title: `Decal: ${coat.name}`,
        where: spotText(coat, units),
        does: `Lay the film (${coat.outline ? `${outlineName(coat.outline)}, ` : ''}${lengthText(coat.width, units)} × ${lengthText(coat.height, units)}) without stretching, press from the middle out, wipe with alcohol.${repeatedText(coat, context)}`,
        needs: [film ? `${film.name}, on its carrier` : 'the film on its carrier', 'soft squeegee', 'alcohol and a clean cloth'],
        waitsFor: 'Smooth, cured resin, clean of finger oil.',
        area: null,
        uses: film ? used(film, pieceSheets(film, coat)) : [],
        handsOn: 10 * coat.times,
        wait: { minutes: 30, until: 'it lies flat at every edge' },
      }),
    };
  },
};
