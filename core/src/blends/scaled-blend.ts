import { deltaE2000, labOf, reflectanceOf } from '../colour';
import { depthForCoverage, flakeRain, pourForCoverage, type Part } from '../glitter';
import { itemOf, type ShelfItem, type ShelfItemId } from '../stock';
import { roundUpToStep, tidy } from '../units';
import type { PlannedBlend } from './blend-outcome';

/** A blend at another amount, on the maker's spoon. */
export interface ScaledBlend {
  readonly parts: readonly { readonly item: ShelfItemId; readonly ml: number }[];
  /** ml a pour */
  readonly ml: number;
  /** ΔE00 that rounding to the spoon moves its colour by */
  readonly rounding: number;
}

/**
 * A blend brought to a total, each part up to the next spoon, and what that rounding does to its colour.
 * @param ml wanted, one pour
 * @param step the maker's spoon, ml
 */
export function scaledBlend(blend: PlannedBlend, shelf: readonly ShelfItem[], ml: number, step: number): ScaledBlend {
  const exact = blend.parts.map((part) => ({
    item: part.item,
    ml: (part.ml * ml) / blend.parts.reduce((sum, one) => sum + one.ml, 0),
  }));
  const parts = exact.map((part) => ({ ...part, ml: Math.max(step, roundUpToStep(tidy(part.ml), step)) }));
  const under = reflectanceOf(blend.under);
  const lab = (amounts: readonly { readonly item: ShelfItemId; readonly ml: number }[]) =>
    labOf(flakeRain(pouredParts(amounts, shelf), Math.max(0.01, blend.kept), under));
  return { parts, ml: tidy(parts.reduce((sum, part) => sum + part.ml, 0)), rounding: deltaE2000(lab(exact), lab(parts)) };
}

/** Bare share from which covering it is worth offering. */
const PATCHY = 0.1;

/**
 * A patchy blend brought to full cover in one press; null where it isn't patchy, or where its glue, or the want of any,
 * won't let it be.
 * @param step the maker's spoon, ml
 */
export function coveringBlend(blend: PlannedBlend, shelf: readonly ShelfItem[], step: number): ScaledBlend | null {
  const { bare, passes, hold, forCover } = blend;
  const glueless = passes > 0 && hold === null;
  return bare <= PATCHY || glueless || forCover.ml === null ? null : scaledBlend(blend, shelf, forCover.ml, step);
}

/** ml a pour after which so much is left bare; null when so many passes of this glue can't hold enough. */
export function mlForBare(blend: PlannedBlend, bare: number): number | null {
  const passes = Math.max(1, blend.passes);
  const perMl = blend.ml > 0 ? blend.poured / blend.ml : 0;
  if (perMl === 0) return null;
  const poured = blend.hold === null ? depthForCoverage(1 - bare) / passes : pourForCoverage(1 - bare, blend.hold, passes);
  return poured === null ? null : poured / perMl;
}

/** ml a pour that uses up the jar there is least of, over all passes; null when nobody keeps count of any. */
export function mlOfScarcest(blend: PlannedBlend, shelf: readonly ShelfItem[]): { ml: number; name: string } | null {
  const passes = Math.max(1, blend.passes);
  const counted = blend.parts.flatMap((part) => {
    const left = itemOf(shelf, part.item, 'glitter')?.left ?? null;
    return left === null || part.ml === 0 ? [] : [{ ml: ((left / part.ml) * blend.ml) / passes, name: part.name }];
  });
  return counted.reduce<{ ml: number; name: string } | null>((least, one) => (least && least.ml <= one.ml ? least : one), null);
}

/** What a blend is poured from: the jars that are still on the shelf, and how much of each. */
export const pouredParts = (
  amounts: readonly { readonly item: ShelfItemId; readonly ml: number }[],
  shelf: readonly ShelfItem[],
): readonly Part[] =>
  amounts.flatMap(({ item, ml }) => {
    const jar = itemOf(shelf, item, 'glitter');
    return jar ? [{ glitter: jar.flake, ml }] : [];
  });
