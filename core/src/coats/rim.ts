import { bodyOf, type CoatKind } from './coat-kind';

export const rim: CoatKind<'rim'> = {
  kind: 'rim',
  name: 'Rim and inside',
  group: 'closing',
  explains: 'Take all down to a 1–2 mm line of bare wall under the lip, and clean the inside: the final coats close over it.',
  start: () => ({ kind: 'rim', note: '' }),
  lay: (_, grounds) => ({
    grounds,
    body: bodyOf({
      title: 'Rim and inside',
      where: 'the lip and the inside',
      does: 'Sand paint, flakes and resin back to a 1–2 mm line of bare wall under the lip. Wipe lip and inside clean.',
      needs: ['fine file or wet sandpaper', 'alcohol and a clean cloth'],
      waitsFor: 'Cured resin: a fingernail leaves no mark.',
      handsOn: 12,
      wait: { minutes: 5, until: 'dry and free of dust' },
      cautions: ['Sand wet, with a dust respirator. Nothing but bare wall belongs where a mouth goes.'],
    }),
  }),
};
