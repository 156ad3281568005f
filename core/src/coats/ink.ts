import { inksOf } from '../design';
import { doseOf, dropsFor, hasSolvent } from '../ink';
import { itemOf } from '../stock';
import { listText, percentText } from '../units';
import { areaOf, bodyOf, placesOf, whereText, type CoatKind } from './coat-kind';
import { gradedOn, gradedPlaces, gradedText, inAll, potsBeside } from './graded';
import { drawnOver, underPots } from './graded-film';
import { mixOf } from './mixing';
import { heldText, rawFill, RESIN_CARE, resinNeeds, resinWait, wetResin, stirText, underResin } from './resin';
import { underFilm } from './under-film';
import { NOTHING } from './used';

export const ink: CoatKind<'ink'> = {
  kind: 'ink',
  name: 'Ink in resin',
  group: 'colour',
  explains: 'A coat of resin with drops of ink, paste or pearl stirred in. Load is its share of the resin.',
  start: ({ shelf }) => ({
    kind: 'ink',
    note: '',
    on: 'all',
    resin: shelf.find((item) => item.kind === 'resin')?.id ?? NOTHING,
    ink: shelf.find((item) => item.kind === 'ink')?.id ?? NOTHING,
    thickness: 0.35,
    load: 1,
  }),
  lay(coat, grounds, context) {
    const resinItem = itemOf(context.shelf, coat.resin, 'resin');
    const inks = inksOf(coat).flatMap(({ ink, load }) => {
      const found = itemOf(context.shelf, ink, 'ink');
      return found ? [{ ink: found, load }] : [];
    });
    const places = placesOf(coat, context);
    const area = areaOf(places, context);
    const fill = rawFill(grounds, places, context);
    const pots = gradedPlaces(coat, places, context);
    const mix = resinItem
      ? mixOf(
          resinItem,
          { area, thickness: coat.thickness, fill, held: context.heldBack, pots: potsBeside(pots) },
          context.settings,
        )
      : null;
    const graded = pots && mix ? gradedOn(pots, { coat, inks, ml: mix.mix - mix.held, grounds, context }) : null;
    const counted = inks.map(({ ink, load }, at) => {
      if (graded) return { ink, ...inAll(graded, at) };
      const one = mix ? dropsFor(load, mix.mix, ink.dropMl) : { drops: 0, load: 0 };
      return { ink, count: one.drops, load: one.load };
    });
    const doses = [
      ...new Set(inks.map(({ ink }) => (doseOf(ink) === 'scoop' ? 'the powder, at least 30 s, no lumps' : 'the drops'))),
    ];
    // The colour follows the drops that are really counted out, not the load that was wished for.
    const inkedFilm = (loads: readonly number[]) => {
      const tints = counted.flatMap(({ ink }, at) =>
        loads[at] > 0 ? [context.light.stirred(ink, loads[at], coat.thickness)] : [],
      );
      return tints.length > 0 ? context.light.together(...tints) : null;
    };
    const pattern = graded && drawnOver(graded, inkedFilm, context);
    const load = counted.reduce((sum, one) => sum + one.load, 0);
    const laid = underResin(grounds, places, coat.thickness);
    return {
      grounds:
        graded && pattern
          ? underPots(laid, graded, { pattern, film: inkedFilm, context })
          : underFilm(laid, places, inkedFilm(counted.map((one) => one.load)), context),
      setting: wetResin(resinItem, coat.thickness, context),
      body: bodyOf({
        title: `Tinted resin: ${inks.length > 0 ? listText(inks.map(({ ink }) => ink.name)) : 'an ink no longer on the shelf'}`,
        where: whereText(coat, context),
        does: `Measure A and B. ${stirText[context.settings.mixing]}${heldText(context)} ${graded ? gradedText(inks.some(({ ink }) => doseOf(ink) === 'scoop')) : `Then stir in ${doses.length > 0 ? listText(doses) : 'the ink'}${doses.includes('the drops') ? ` (${percentText(load / 100, 1)} load)` : ''}. Spread, carry over both edges, look again after 12 min.`}`,
        needs: [...resinNeeds(resinItem), ...(inks.length > 0 ? inks.map(({ ink }) => ink.name) : ['the ink'])],
        waitsFor: 'Cured, sanded and washed resin under it, or one still tacky.',
        area,
        thickness: coat.thickness,
        mix,
        graded,
        pattern,
        drops: counted.map(({ ink, count, load }) => ({ item: ink.id, ink: ink.name, count, load, dose: doseOf(ink) })),
        handsOn: 20 + 3 * (graded?.pots.length ?? 0),
        wait: resinWait(resinItem, context),
        cautions:
          inks.every(({ ink }) => !hasSolvent(ink)) && inks.length > 0 ? [RESIN_CARE] : [RESIN_CARE, 'No flame near wet ink.'],
      }),
    };
  },
};
