import { itemOf } from '../stock';
import { lengthText } from '../units';
import { bodyOf, whereText, type CoatKind } from './coat-kind';
import { anyFilm } from './used';

export const outline: CoatKind<'outline'> = {
  kind: 'outline',
  name: 'Outline film',
  group: 'laid on',
  explains: 'A narrow line of film cut along a shape’s edge: it hides the gap between motif and ground.',
  start: ({ shelf }) => ({
    kind: 'outline',
    note: '',
    on: 'all',
    film: anyFilm(shelf),
    gap: 1,
    width: 1.5,
  }),
  lay(coat, grounds, context) {
    const film = itemOf(context.shelf, coat.film, 'film');
    const { units } = context.settings;
    return {
      grounds,
      body: bodyOf({
        title: `Outline: ${film?.name ?? 'a film no longer on the shelf'}`,
        where: `round ${whereText(coat, context)}`,
        does: `Cut the shape’s outline ${lengthText(coat.width, units)} wide, weed it, lay it over the gap of ${lengthText(coat.gap, units)} and press from the middle out. Wipe with alcohol.`,
        needs: [film?.name ?? 'the film', 'carrier tape', 'soft squeegee'],
        waitsFor: 'Smooth, cured resin over the flakes.',
        area: null,
        handsOn: 20,
        wait: { minutes: 30, until: 'it lies flat at every corner' },
      }),
    };
  },
};
