import { areaOf, bodyOf, openPlacesOf, whereText, type CoatKind } from './coat-kind';
import { settingWait } from './glitter';
import { changedGrounds } from './ground';

export const press: CoatKind<'press'> = {
  kind: 'press',
  name: 'Press',
  group: 'flakes',
  explains: 'Press flakes of 0.8 mm and over flat while the glue is soft, so that less resin buries them.',
  start: () => ({ kind: 'press', note: '', on: 'all' }),
  lay(coat, grounds, context) {
    const places = openPlacesOf(coat, context);
    return {
      grounds: changedGrounds(grounds, places, (ground) => ({
        unpressed: 0,
        bed: ground.bed && { ...ground.bed, pressed: true },
      })),
      setting: context.setting,
      body: bodyOf({
        title: 'Press flat, tap off',
        where: whereText(coat, context),
        does: 'Roll with a gloved hand over baking paper until no flake stands up. Tap off, brush off.',
        needs: ['baking paper', 'gloves'],
        waitsFor: 'Glitter in glue that is still soft.',
        area: areaOf(places, context),
        handsOn: 5,
        wait: settingWait(context),
      }),
    };
  },
};
