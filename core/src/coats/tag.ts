import { lengthText } from '../units';
import { bodyOf, type CoatKind } from './coat-kind';
import { repeatedText, spotText } from './piece-words';

export const tag: CoatKind<'tag'> = {
  kind: 'tag',
  name: 'Tag or small part',
  group: 'laid on',
  explains: 'A small tag, stone or charm set in and closed over with clear coats.',
  start: ({ height, front }) => ({
    kind: 'tag',
    note: '',
    name: 'Tag',
    width: 15,
    height: 15,
    centre: Math.round(height / 4),
    angle: front,
    times: 1,
    raised: 1,
  }),
  lay: (coat, grounds, context) => ({
    grounds,
    body: bodyOf({
      title: `Tag: ${coat.name}`,
      where: spotText(coat, context.settings.units),
      does: `Set it (${lengthText(coat.width, context.settings.units)} × ${lengthText(coat.height, context.settings.units)}, ${lengthText(coat.raised, context.settings.units)} high) on a drop of resin, bent to the wall where it can be. Close its edge with a toothpick.${repeatedText(coat, context)}`,
      needs: ['the part, sealed', 'a drop of resin', 'tweezers'],
      waitsFor: 'Cured, sanded resin.',
      area: null,
      handsOn: 10 * coat.times,
      wait: { minutes: 60, until: 'it no longer slides' },
      cautions: ['Small parts can come off and be swallowed: they have no place on a child’s cup.'],
    }),
  }),
};
