import { keptDepth } from '../glitter';
import { flakesLook } from '../look';
import { laidThickness, type FlakeBed } from '../resin';
import { listText } from '../units';
import type { CoatKindName } from '../design';
import { areaOf, bodyOf, openPlacesOf, type CoatContext, type CoatKind } from './coat-kind';
import { changedGrounds, type Ground } from './ground';
import type { PlannedWait } from './planned-coat';
import type { ReadyBlend } from './ready-blend';

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
    const places = openPlacesOf(coat.on, context);
    // An area that later ones cover wholly has nothing to pour on.
    const blends = context.blends.filter((blend) => places.includes(blend.area) && blend.ml > 0 && blend.poured > 0);
    const held = new Map(blends.map((blend) => [blend.area as string, { blend, kept: heldDepth(blend, grounds[blend.area]) }]));
    const areas = blends.map((blend) => blend.area as string);
    const names = listText(blends.map((blend) => blend.areaName));
    return {
      grounds: changedGrounds(grounds, areas, (ground, place) => {
        const { blend, kept } = held.get(place) ?? { blend: null, kept: 0 };
        if (!blend || kept === 0) return ground;
        return {
          ...ground,
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
        title: blends.length === 1 ? 'Glitter' : `Glitter, ${blends.length} blends`,
        where: blends.length > 0 ? names : 'no area with a blend',
        does: 'Pour over paper while turning, light colours before dark. Tap off, brush off, keep the excess apart.',
        needs: ['the blends, mixed', 'a sheet of paper a blend', 'soft brush'],
        waitsFor: 'Fresh, soft glue.',
        area: areaOf(areas, context),
        pours: blends.map((blend) => {
          const kept = held.get(blend.area)?.kept ?? 0;
          const { area, areaName, planned: parts, ml, grams } = blend;
          return { area, areaName, parts, ml, grams, kept, castOff: 1 - kept / blend.poured };
        }),
        handsOn: 4 + 3 * blends.length,
        wait: settingWait(context),
        cautions: ['Dust mask for the finest cuts; keep flakes away from food and eyes.'],
      }),
    };
  },
};

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
const intoSoft: readonly CoatKindName[] = ['glitter', 'press', 'sprinkle', 'buff', 'dab'];

/** What bonds to resin by itself while it is tacky. */
export const ontoTacky: readonly CoatKindName[] = ['resin', 'ink', 'glue'];

/** Glue sets once nothing more goes into it. */
export function settingWait({ next, setting, settings }: Pick<CoatContext, 'next' | 'setting' | 'settings'>): PlannedWait {
  const soft = next !== null && (intoSoft.includes(next) || (next === 'unmask' && settings.unmasking === 'while wet'));
  if (soft) return { minutes: 0, until: 'at once, while it is soft under it' };
  const { tack, ...set } = setting;
  return tack && next !== null && ontoTacky.includes(next) ? tack : set;
}
