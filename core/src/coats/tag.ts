import { lengthText } from '../units';
import { bodyOf, type CoatKind } from './coat-kind';
import { spotText } from './decal';

export const tag: CoatKind<'tag'> = {
  kind: 'tag',
  name: 'Tag or small part',
  group: 'laid on',
  explains: 'A small tag, stone or charm set in and closed over with clear coats.',
  start: ({ height }) => ({
    kind: 'tag',
    note: '',
    name: 'Tag',
    width: 15,
    height: 15,
    centre: Math.round(height / 4),
    angle: 180,
    raised: 1,
  }),
  lay: (coat, grounds, { settings: { units } }) => ({
    grounds,
    body: bodyOf({
      title: `Tag: ${coat.name}`,
      where: spotText(coat, units),
      does: `Set it (${lengthText(coat.width, units)} × ${lengthText(coat.height, units)}, ${lengthText(coat.raised, units)} high) on a drop of resin, bent to the wall where it can be. Close its edge with a toothpick.`,
      needs: ['the part, sealed', 'a drop of resin', 'tweezers'],
      waitsFor: 'Cured, sanded resin.',
      area: null,
      handsOn: 10,
      wait: { minutes: 60, until: 'it no longer slides' },
      cautions: ['Small parts can come off and be swallowed: they have no place on a child’s cup.'],
    }),
  }),
};
