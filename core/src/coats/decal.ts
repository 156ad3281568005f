import { bodyOf, type CoatKind } from './coat-kind';

export const decal: CoatKind<'decal'> = {
  kind: 'decal',
  name: 'Decal',
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
  lay: (coat, grounds) => ({
    grounds,
    body: bodyOf({
      title: `Decal: ${coat.name}`,
      where: `${coat.angle === 180 ? 'opposite the seam' : `${coat.angle}° round from the seam`}, centre ${coat.centre} mm above the foot`,
      does: `Lay the film (${coat.width} × ${coat.height} mm) without stretching, press from the middle out, wipe with alcohol.`,
      needs: ['the film on its carrier', 'soft squeegee', 'alcohol and a clean cloth'],
      waitsFor: 'Smooth, cured resin, clean of finger oil.',
      area: null,
      handsOn: 10,
      wait: { minutes: 30, until: 'it lies flat at every edge' },
    }),
  }),
};
