import { lengthText, type Units } from '../units';
import { bodyOf, type CoatKind } from './coat-kind';

/** Where a piece lies, as one says it at the bench. */
export const spotText = ({ angle, centre }: { angle: number; centre: number }, units: Units): string =>
  `${angle === 180 ? 'opposite the seam' : `${Math.round(angle)}° round from the seam`}, centre ${lengthText(centre, units)} above the foot`;

export const decal: CoatKind<'decal'> = {
  kind: 'decal',
  name: 'Decal',
  group: 'laid on',
  explains: 'A cut or printed film laid on smooth resin, closed over by the coats after it.',
  start: ({ height }) => ({
    kind: 'decal',
    note: '',
    name: 'Decal',
    width: 70,
    height: 50,
    centre: Math.round(height / 2),
    angle: 180,
  }),
  lay: (coat, grounds, { settings: { units } }) => ({
    grounds,
    body: bodyOf({
      title: `Decal: ${coat.name}`,
      where: spotText(coat, units),
      does: `Lay the film (${lengthText(coat.width, units)} × ${lengthText(coat.height, units)}) without stretching, press from the middle out, wipe with alcohol.`,
      needs: ['the film on its carrier', 'soft squeegee', 'alcohol and a clean cloth'],
      waitsFor: 'Smooth, cured resin, clean of finger oil.',
      area: null,
      handsOn: 10,
      wait: { minutes: 30, until: 'it lies flat at every edge' },
    }),
  }),
};
