import { bodyOf, type CoatKind } from './coat-kind';

export const prep: CoatKind<'prep'> = {
  kind: 'prep',
  name: 'Prepare',
  group: 'under',
  explains: 'Scuff the bare wall dull and take the grease off, so that the first coat holds.',
  start: () => ({ kind: 'prep', note: '' }),
  lay: (_, grounds) => ({
    grounds,
    body: bodyOf({
      title: 'Scuff and degrease',
      does: 'Scuff the wall dull, wash, wipe with alcohol. Tape the lip, plug the holder.',
      needs: ['scuffing pad', 'alcohol and a clean cloth', 'tape'],
      waitsFor: 'Nothing; this comes first.',
      handsOn: 10,
      wait: { minutes: 5, until: 'dry' },
      cautions: ['Alcohol burns: no flame, and let the room air before the next coat.'],
    }),
  }),
};
