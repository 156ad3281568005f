import { areaOf, bodyOf, everyPlaceOf, whereText, type CoatKind } from './coat-kind';
import { settingWait } from './glitter';
import { changedGrounds } from './ground';

export const unmask: CoatKind<'unmask'> = {
  kind: 'unmask',
  name: 'Mask off',
  group: 'masks',
  explains: 'Pull the mask, back over itself, and touch up what bled under its edge.',
  start: () => ({ kind: 'unmask', note: '', on: 'all' }),
  lay(coat, grounds, context) {
    const places = everyPlaceOf(coat, context).filter((place) => grounds[place].masked);
    const wet = context.settings.unmasking === 'while wet';
    return {
      grounds: changedGrounds(grounds, places, () => ({ masked: false })),
      setting: context.setting,
      body: bodyOf({
        title: 'Mask off',
        where: whereText(coat, context),
        does: `Pull slowly, flat back over itself, away from the fresh edge${wet ? ', within 20 min' : ', warmed a little if it holds'}. Touch up with a paint pen.`,
        needs: ['tweezers', 'paint pen or fine brush'],
        waitsFor: wet ? 'Nothing: while the edge is still wet.' : 'A dry edge; scored along the tape where the film is thick.',
        area: areaOf(places, context),
        handsOn: 8,
        wait: settingWait(context),
      }),
    };
  },
};
