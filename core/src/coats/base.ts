import { reflectanceOf } from '../colour';
import { groundLook } from '../look';
import { itemOf, type ShelfItemId } from '../stock';
import { areaOf, bodyOf, inThisRoom, placesOf, whereText, type CoatKind } from './coat-kind';
import { changedGrounds } from './ground';

/** mm of dry paint a pass adds; sprayed acrylic and lacquer lie at 20–30 µm. */
const PAINT_FILM = 0.025;

export const base: CoatKind<'base'> = {
  kind: 'base',
  name: 'Base colour',
  explains: 'The paint under the glitter. It shows in every gap between flakes.',
  start: ({ shelf }) => ({
    kind: 'base',
    note: '',
    on: 'all',
    paint: shelf.find((item) => item.kind === 'paint')?.id ?? ('' as ShelfItemId),
    passes: 2,
    fading: false,
  }),
  lay(coat, grounds, context) {
    const paint = itemOf(context.shelf, coat.paint, 'paint');
    const places = placesOf(coat.on, context);
    const colour = paint ? reflectanceOf(paint.colour) : null;
    const faded = (place: string) => (coat.fading ? context.fadedBases[place] : undefined);
    const passes = coat.passes === 1 ? 'One even coat' : `${coat.passes} thin coats`;
    return {
      grounds: changedGrounds(grounds, places, (ground, place) => {
        const own = faded(place);
        return {
          ...ground,
          spectrum: own?.spectrum ?? colour ?? ground.spectrum,
          look: own ? [groundLook(own.colour)] : paint ? [groundLook(paint.colour)] : ground.look,
          thickness: ground.thickness + coat.passes * PAINT_FILM,
        };
      }),
      body: bodyOf({
        title: `Base colour: ${paint?.name ?? 'a paint no longer on the shelf'}`,
        where: whereText(coat.on, context),
        does: `${passes} of paint, each touch-dry before the next.${
          places.some(faded)
            ? ' Where the base fades, mist one paint into the next while both are wet, at the heights of its fade.'
            : ''
        }`,
        needs: [paint?.name ?? 'the paint', 'turner', 'drop sheet'],
        waitsFor: 'A scuffed wall, free of grease and dry.',
        area: areaOf(places, context),
        thickness: coat.passes * PAINT_FILM,
        handsOn: 5 + 5 * coat.passes,
        wait: {
          minutes: inThisRoom((paint?.dryMinutes ?? 60) * coat.passes, context),
          until: 'dry, also under a fingernail; overnight before strong tape',
        },
        cautions: ['Spray outdoors or in a booth, with a respirator for organic vapour.'],
      }),
    };
  },
};
