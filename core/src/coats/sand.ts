import { bodyOf, type CoatKind } from './coat-kind';

export const sand: CoatKind<'sand'> = {
  kind: 'sand',
  name: 'Sand',
  group: 'closing',
  explains: 'Dull the cured gloss so that the next coat grips, and take the rim down to a bare line.',
  start: () => ({ kind: 'sand', note: '' }),
  lay: (_, grounds, { settings: { betweenCoats } }) => ({
    grounds,
    body: bodyOf({
      title: 'Sand and wash',
      does: `Wet-sand ${betweenCoats === 'high spots' ? 'the high spots only, and scuff what stays glossy with a pad' : 'high spots and gloss'}, rim down to a 1–2 mm line of bare wall. Wash, dry, wipe with alcohol.`,
      needs: ['wet sandpaper, 220 to 400', 'water', 'clean cloth'],
      waitsFor: 'Cured resin: a fingernail leaves no mark.',
      handsOn: 15,
      wait: { minutes: 15, until: 'washed and dry' },
      cautions: ['Sand wet, with a dust respirator: cured resin dust isn’t for lungs.'],
    }),
  }),
};
