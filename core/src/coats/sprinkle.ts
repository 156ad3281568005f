import { coarsestCut, facePerMl, flakesPerMl } from '../glitter';
import { flakesLook } from '../look';
import { laidThickness } from '../resin';
import { itemOf } from '../stock';
import { areaOf, bodyOf, openPlacesOf, whereText, type CoatKind } from './coat-kind';
import { bedOf, settingWait } from './glitter';
import { changedGrounds } from './ground';
import { NOTHING, used } from './used';

export const sprinkle: CoatKind<'sprinkle'> = {
  kind: 'sprinkle',
  name: 'Sprinkle',
  group: 'flakes',
  explains: 'A few larger flakes let fall into a coat that is still wet, so many a cm².',
  start: ({ shelf }) => {
    const jars = shelf.flatMap((item) => (item.kind === 'glitter' ? [item] : []));
    const coarse = jars.toSorted((a, b) => coarsestCut(b.flake) - coarsestCut(a.flake)).at(0);
    return { kind: 'sprinkle', note: '', on: 'all', glitter: coarse?.id ?? NOTHING, flakes: 4 };
  },
  lay(coat, grounds, context) {
    const jar = itemOf(context.shelf, coat.glitter, 'glitter');
    const places = openPlacesOf(coat, context);
    const area = areaOf(places, context);
    const mlPerCm2 = jar ? coat.flakes / flakesPerMl(jar.flake) : 0;
    const depth = jar ? mlPerCm2 * facePerMl(jar.flake) : 0;
    const parts = jar ? [{ glitter: jar.flake, ml: mlPerCm2 * Math.max(1, area) }] : [];
    return {
      grounds: jar
        ? changedGrounds(grounds, places, (ground) => ({
            spectrum: context.light.rain(parts, depth, ground.spectrum),
            look: [...ground.look, flakesLook(parts, [jar.finish], depth)],
            stuckBy: ground.glue?.way ?? ground.stuckBy,
            bed: { ...bedOf(ground, depth, { thickness: jar.flake.thickness, coarsest: coarsestCut(jar.flake) }), pressed: true },
            thickness: ground.thickness + laidThickness(depth, jar.flake.thickness),
            hasGlitter: true,
            cover: 0,
            sealed: false,
          }))
        : grounds,
      setting: context.setting,
      body: bodyOf({
        title: `Sprinkle: ${jar?.name ?? 'a glitter no longer on the shelf'}`,
        where: whereText(coat, context),
        does: `Let it fall from a hand’s length above, a pinch at a time, about ${coat.flakes} a cm². Flakes that stand up are laid down with a toothpick.`,
        needs: [jar?.name ?? 'the glitter', 'toothpick'],
        waitsFor: 'The coat under it, laid just now and still wet.',
        area,
        uses: used(jar, mlPerCm2 * area),
        handsOn: 6,
        wait: settingWait(context),
        cautions: ['Keep flakes away from food and eyes.'],
      }),
    };
  },
};
