import { areaOf, bodyOf, everyPlaceOf, placesOf, whereText, type CoatKind } from './coat-kind';
import { changedGrounds } from './ground';

export const mask: CoatKind<'mask'> = {
  kind: 'mask',
  name: 'Mask on',
  group: 'masks',
  explains: 'Tape, film or a stencil over an area: nothing reaches it until the mask is pulled.',
  start: () => ({ kind: 'mask', note: '', on: 'all' }),
  lay(coat, grounds, context) {
    const places = placesOf(coat, context);
    return {
      grounds: changedGrounds(grounds, places, () => ({ masked: true })),
      body: bodyOf({
        title: 'Mask on',
        where: whereText(coat, context),
        does: 'Take some stick off strong tape on cloth first. Lay it unstretched, burnish its edges down.',
        needs: ['masking tape, film or a stencil', 'fresh blade', 'burnisher'],
        waitsFor: 'What lies under it dry through; under strong tape, overnight.',
        area: areaOf(everyPlaceOf(coat, context), context),
        handsOn: 15,
        wait: { minutes: 0, until: 'its edges are down all round' },
        cautions: ['Cut away from the hand that holds the cup.'],
      }),
    };
  },
};
