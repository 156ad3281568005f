import { areaOf, bodyOf, inThisRoom, placesOf, whereText, type CoatKind } from './coat-kind';
import { changedGrounds } from './ground';

/** Minutes a clear mist needs before resin: makers say 20–30. */
export const SEAL_DRY = 25;

export const seal: CoatKind<'seal'> = {
  kind: 'seal',
  name: 'Seal',
  group: 'closing',
  explains: 'A light clear spray that fixes loose flakes, ink or film before resin goes over.',
  start: () => ({ kind: 'seal', note: '', on: 'all', passes: 1 }),
  lay(coat, grounds, context) {
    const places = placesOf(coat, context);
    return {
      grounds: changedGrounds(grounds, places, () => ({ glue: null, sealed: true, loose: false })),
      body: bodyOf({
        title: coat.passes === 1 ? 'Clear seal' : `Clear seal, ${coat.passes} light coats`,
        where: whereText(coat, context),
        does: 'A light mist from a forearm away, turning. Heavy spray loosens ink and glue.',
        needs: ['clear spray or brushed sealer', 'soft brush'],
        waitsFor: 'Set glue, and loose flakes brushed off.',
        area: areaOf(places, context),
        handsOn: 5 * coat.passes,
        wait: { minutes: inThisRoom(SEAL_DRY * coat.passes, context), until: 'dry and no longer smelling of solvent' },
        cautions: ['Spray outdoors or in a booth, respirator on, no flame near.'],
      }),
    };
  },
};
