import { pigmentFilm } from '../colour';
import { areaOf, bodyOf, inThisRoom, placesOf, whereText, type CoatKind } from './coat-kind';
import { underFilm } from './under-film';

/** Minutes that glue under paper and each of two coats of sealer over it dry. */
const DRY = 60;
/** mm of thin paper with its sealer */
const THICK = 0.15;

export const paper: CoatKind<'paper'> = {
  kind: 'paper',
  name: 'Paper',
  group: 'laid on',
  explains: 'Torn or cut paper, glued on and sealed twice, so that resin doesn’t soak in and turn it grey.',
  start: () => ({ kind: 'paper', note: '', on: 'all', name: 'Torn pages', colour: '#e8dcc0', share: 60 }),
  lay(coat, grounds, context) {
    const places = placesOf(coat, context);
    const film = pigmentFilm(coat.colour, coat.share / 100, 1);
    return {
      grounds: underFilm(grounds, places, film, context, ({ thickness }) => ({ sealed: true, thickness: thickness + THICK })),
      body: bodyOf({
        title: `Paper: ${coat.name}`,
        where: whereText(coat, context),
        does: 'Brush clear glue under and over each piece, smooth it out from the middle. Once dry, seal all of it twice, over every edge.',
        needs: ['the paper, torn or cut', 'clear glue', 'sealer', 'soft brush'],
        waitsFor: 'A dry base or cured, sanded resin.',
        area: areaOf(places, context),
        thickness: THICK,
        handsOn: 30,
        wait: { minutes: inThisRoom(3 * DRY, context), until: 'glue and both coats of sealer are dry' },
        cautions: ['Scorched edges: burn them over a metal tray with water at hand, away from spray, alcohol and resin.'],
      }),
    };
  },
};
