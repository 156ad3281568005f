import { outlineName } from '../motif';
import { itemOf } from '../stock';
import { lengthText, type Units } from '../units';
import { circumferenceAt, heightOf } from '../vessel';
import { bodyOf, type CoatContext, type CoatKind } from './coat-kind';
import { pieceSheets, used } from './used';

/** Where a coat's pieces lie, as one says it at the bench. */
export function spotText({ angle, centre, times }: { angle: number; centre: number; times: number }, units: Units): string {
  const round = angle === 180 ? 'opposite the seam' : `${Math.round(angle)}° round from the seam`;
  const first = times === 1 ? round : `${times} evenly round, the first ${round}`;
  return `${first}, centre${times === 1 ? '' : 's'} ${lengthText(centre, units)} above the foot`;
}

/** How pieces that are repeated are cut, and where the others come to lie; nothing of one alone. */
export function repeatedText(
  { times, centre, mirrored = false }: { times: number; centre: number; mirrored?: boolean },
  { stations, settings: { units } }: Pick<CoatContext, 'stations' | 'settings'>,
): string {
  if (times === 1) return '';
  const step = circumferenceAt(stations, Math.min(centre, heightOf({ stations }))) / times;
  const others = ` Mark the middles of the others every ${lengthText(step, units)} by the tape there.`;
  return mirrored ? `${others} Cut every second one the other way round.` : others;
}

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
