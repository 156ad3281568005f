import { keptDepth } from '../glitter';
import { flakesLook } from '../look';
import { laidThickness, type FlakeBed } from '../resin';
import type { CoatKindName } from '../design';
import { areaOf, bodyOf, openPlacesOf, whereText, type CoatContext, type CoatedPlaces, type CoatKind } from './coat-kind';
import { changedGrounds, type Ground, type Grounds } from './ground';
import type { PlannedPour, PlannedWait } from './planned-coat';
import type { PlannedPart, ReadyBlend } from './ready-blend';

/** How deep a pour ends up on a ground: nothing holds it without glue. */
export const heldDepth = (blend: ReadyBlend, ground: Ground): number =>
  ground.glue ? keptDepth(blend.poured, ground.glue.hold) : 0;

export const glitter: CoatKind<'glitter'> = {
  kind: 'glitter',
  name: 'Glitter',
  group: 'flakes',
  explains: 'Pour each area’s blend over the soft glue, over paper; what isn’t held is excess and goes back.',
  start: () => ({ kind: 'glitter', note: '', on: 'all' }),
  lay(coat, grounds, context) {
    const pours = poursOn(openPlacesOf(coat, context), grounds, context);
    const held = new Map(
      pours.flatMap((pour) => pour.laid.map(({ place, kept }) => [place, { blend: pour.blend, kept }] as const)),
    );
    const areas = [...held.keys()];
    return {
      grounds: changedGrounds(grounds, areas, (ground, place) => {
        const { blend, kept } = held.get(place) ?? { blend: null, kept: 0 };
        if (!blend || kept === 0) return ground;
        return {
          spectrum: context.light.rain(blend.parts, kept, ground.spectrum),
          look: [...ground.look, flakesLook(blend.parts, blend.finishes, kept)],
          glue: null,
          stuckBy: ground.glue?.way ?? ground.stuckBy,
          rawMicrons: ground.rawMicrons + kept * blend.thickness,
          sealed: false,
          bed: bedOf(ground, kept, blend),
          unpressed: Math.max(ground.unpressed, blend.coarsest),
          hasGlitter: true,
          cover: 0,
          thickness: ground.thickness + laidThickness(kept, blend.thickness),
        };
      }),
      setting: context.setting,
      body: bodyOf({
        title: pours.length === 1 ? 'Glitter' : `Glitter, ${pours.length} blends`,
        where: pours.length > 0 ? whereOf(coat, pours, context) : 'no area with a blend',
        does: 'Pour over paper while turning, light colours before dark. Tap off, brush off, keep the excess apart.',
        needs: ['the blends, mixed', 'a sheet of paper a blend', 'soft brush'],
        waitsFor: 'Fresh, soft glue.',
        area: areaOf(areas, context),
        pours: pours.map(plannedPour),
        handsOn: 4 + 3 * pours.length,
        wait: settingWait(context),
        cautions: ['Dust mask for the finest cuts; keep flakes away from food and eyes.'],
      }),
    };
  },
};

/** A blend as one coat pours it: all of it, or what of it belongs to the parts of its area that the coat reaches. */
interface Pour {
  readonly blend: ReadyBlend;
  readonly share: number;
  /** flakes deep that each place keeps of it */
  readonly laid: readonly { readonly place: string; readonly kept: number; readonly size: number }[];
}

/** An area that later ones cover wholly has nothing to pour on. */
const poursOn = (places: readonly string[], grounds: Grounds, context: CoatContext): readonly Pour[] =>
  context.blends.flatMap((blend) => {
    const parts = context.parts[blend.area] ?? [blend.area];
    const on = parts.filter((part) => places.includes(part));
    if (on.length === 0 || blend.ml === 0 || blend.poured === 0) return [];
    const share = on.length === parts.length ? 1 : areaOf(on, context) / areaOf(parts, context);
    const laid = on.map((place) => ({ place, kept: heldDepth(blend, grounds[place]), size: context.sizes[place] }));
    return [{ blend, share, laid }];
  });

/** A blend's name says where it goes; of a part of it, so do the heights. */
const whereOf = (coat: CoatedPlaces, pours: readonly Pour[], context: CoatContext): string =>
  whereText({ ...coat, on: pours.map(({ blend }) => blend.area) }, context);

function plannedPour({ blend, share, laid }: Pour): PlannedPour {
  const { area, areaName, planned, ml, grams, poured } = blend;
  const size = laid.reduce((sum, one) => sum + one.size, 0);
  const kept = laid.reduce((sum, one) => sum + one.kept * one.size, 0) / (size || 1);
  return {
    area,
    areaName,
    on: laid.map(({ place }) => place),
    parts: share === 1 ? planned : planned.map((part) => partOfPour(part, share)),
    ml: ml * share,
    grams: grams * share,
    kept,
    castOff: 1 - kept / poured,
  };
}

const partOfPour = (part: PlannedPart, share: number): PlannedPart => ({
  ...part,
  ml: part.ml * share,
  grams: part.grams * share,
  flakes: part.flakes * share,
});

/** Flakes on flakes are one bed until resin lies between them. */
export function bedOf(
  { bed, cover }: Ground,
  depth: number,
  { thickness, coarsest }: Pick<ReadyBlend, 'thickness' | 'coarsest'>,
): FlakeBed {
  const under = bed && cover === 0 ? bed : { depth: 0, thickness: 0, cut: 0 };
  const all = under.depth + depth;
  return {
    depth: all,
    thickness: (under.depth * under.thickness + depth * thickness) / all,
    cut: Math.max(under.cut, coarsest),
    pressed: false,
  };
}

/** What goes into a coat that is still soft. */
const intoSoft: readonly CoatKindName[] = ['glitter', 'press', 'sprinkle', 'buff', 'strings', 'dab'];

/** What bonds to resin by itself while it is tacky. */
export const ontoTacky: readonly CoatKindName[] = ['resin', 'ink', 'glue'];

/** Glue sets once nothing more goes into it. */
export function settingWait({ next, setting, settings }: Pick<CoatContext, 'next' | 'setting' | 'settings'>): PlannedWait {
  const soft = next !== null && (intoSoft.includes(next) || (next === 'unmask' && settings.unmasking === 'while wet'));
  if (soft) return { minutes: 0, until: 'at once, while it is soft under it' };
  const { tack, ...set } = setting;
  return tack && next !== null && ontoTacky.includes(next) ? tack : set;
}
