import { itemOf } from '../stock';
import { lengthText } from '../units';
import { stripAround } from '../vessel';
import { bodyOf, type CoatKind } from './coat-kind';
import { anyFilm, sheetsFor, used } from './used';

/** mm; so narrow it lies down on any cup. */
const WIDTH = 3;

export const strip: CoatKind<'strip'> = {
  kind: 'strip',
  name: 'Strip of film',
  group: 'laid on',
  explains: 'A strip of film or tape once round, its ends 5 mm over each other at the seam.',
  start: ({ shelf, stations, height }) => ({
    kind: 'strip',
    note: '',
    film: anyFilm(shelf),
    width: WIDTH,
    centre: Math.round(height / 2),
    length: Math.ceil(stripAround(stations, WIDTH, Math.round(height / 2)).cutLength),
  }),
  lay(coat, grounds, context) {
    const film = itemOf(context.shelf, coat.film, 'film');
    const { units } = context.settings;
    const round = stripAround(context.stations, coat.width, coat.centre);
    return {
      grounds,
      body: bodyOf({
        title: `Strip: ${film?.name ?? 'a film no longer on the shelf'}`,
        where: `once round, ${lengthText(coat.width, units)} wide, its middle ${lengthText(coat.centre, units)} above the foot`,
        does: `Cut ${lengthText(coat.length, units)}. Begin at the seam, lay it without stretching along a level line, let it end over its own start${round.puckers ? '; it puckers on this wall: cut it as the curved strip of the templates' : ''}. Press it down, wipe with alcohol.`,
        needs: [film?.name ?? 'the film', 'steel rule and fresh blade', 'alcohol and a clean cloth'],
        waitsFor: 'Smooth, cured resin or dry paint, clean of finger oil.',
        area: null,
        uses: film ? used(film, sheetsFor(film, coat.width, coat.length)) : [],
        handsOn: 10,
        wait: { minutes: 30, until: 'it lies flat at both edges' },
      }),
    };
  },
};
