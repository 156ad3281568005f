import { pigmentFilm, reflectanceOf } from '../colour';
import type { baseWays } from '../design';
import { filmLook, groundLook } from '../look';
import { itemOf } from '../stock';
import { areaOf, bodyOf, inThisRoom, placesOf, whereText, wholeOf, type CoatKind } from './coat-kind';
import { changedGrounds } from './ground';
import { NOTHING, paintMl, used } from './used';

/** The share of a place that specks misted from a long arm cover, a pass. */
const SPECKS = 0.2;

/** A brushed coat dries in minutes with warm air: the part of its usual time that it takes. */
const WARM_AIR = 0.15;

/** mm of dry paint a pass adds; sprayed acrylic and lacquer lie at 20–30 µm. */
const PAINT_FILM = 0.025;

export const base: CoatKind<'base'> = {
  kind: 'base',
  name: 'Base colour',
  group: 'under',
  explains: 'The paint under the glitter. It shows in every gap between flakes.',
  start: ({ shelf }) => ({
    kind: 'base',
    note: '',
    on: 'all',
    paint: shelf.find((item) => item.kind === 'paint')?.id ?? NOTHING,
    passes: 2,
    way: 'sprayed',
    fading: false,
  }),
  lay(coat, grounds, context) {
    const paint = itemOf(context.shelf, coat.paint, 'paint');
    const places = placesOf(coat, context);
    const colour = paint ? reflectanceOf(paint.colour) : null;
    const faded = (place: string) => (coat.fading ? context.fadedBases[wholeOf(place, context)] : undefined);
    const misted = coat.way === 'misted' && paint ? pigmentFilm(paint.colour, 1 - (1 - SPECKS) ** coat.passes, 1) : null;
    const covered = coat.way === 'misted' ? 1 - (1 - SPECKS) ** coat.passes : 1;
    const own = places.filter((place) => !faded(place));
    const passes = coat.passes === 1 ? 'One even coat' : `${coat.passes} thin coats`;
    return {
      grounds: changedGrounds(grounds, places, (ground, place) => {
        const blended = faded(place);
        const thickness = ground.thickness + coat.passes * PAINT_FILM * (misted ? SPECKS : 1);
        // Specks lie over what is there; seen from across a table they are a film that hides their share of it.
        if (misted && !blended)
          return {
            spectrum: context.light.over(misted, ground.spectrum),
            look: [...ground.look, filmLook(misted)],
            thickness,
          };
        return {
          spectrum: blended?.spectrum ?? colour ?? ground.spectrum,
          look: blended ? [groundLook(blended.colour)] : paint ? [groundLook(paint.colour)] : ground.look,
          thickness,
        };
      }),
      body: bodyOf({
        title: `${coat.way === 'misted' ? 'Misted specks' : 'Base colour'}: ${paint?.name ?? 'a paint no longer on the shelf'}`,
        where: whereText(coat, context),
        does: `${wayText[coat.way](passes)}${
          places.some(faded)
            ? ' Where the base fades, mist one paint into the next while both are wet, at the heights of its fade.'
            : ''
        }`,
        needs: [paint?.name ?? 'the paint', ...(coat.way === 'brushed' ? ['soft brush', 'warm air'] : ['turner', 'drop sheet'])],
        waitsFor: 'A scuffed wall, free of grease and dry.',
        area: areaOf(places, context),
        thickness: coat.passes * PAINT_FILM,
        // Where the base fades other paints are laid, by the heights of the fade.
        uses: used(paint, paintMl(areaOf(own, context) * covered, PAINT_FILM * (misted ? 1 : coat.passes), coat.way)),
        handsOn: 5 + (coat.way === 'brushed' ? 8 : 5) * coat.passes,
        wait: {
          minutes: inThisRoom((paint?.dryMinutes ?? 60) * coat.passes * (coat.way === 'brushed' ? WARM_AIR : 1), context),
          until: 'dry, also under a fingernail; overnight before strong tape',
        },
        cautions: coat.way === 'brushed' ? [] : ['Spray outdoors or in a booth, with a respirator for organic vapour.'],
      }),
    };
  },
};

const wayText: Readonly<Record<(typeof baseWays)[number], (passes: string) => string>> = {
  sprayed: (passes) => `${passes} of paint, each touch-dry before the next.`,
  brushed: (passes) => `${passes}, brushed round the cup, each dried with warm air in minutes.`,
  misted: (passes) =>
    `${passes === 'One even coat' ? 'One mist' : passes.replace('thin coats', 'mists')} of specks from a long arm, the nozzle half pressed.`,
};
