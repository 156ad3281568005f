import type { AreaId } from '../areas';
import { heldDepth, type Grounds, type Light, type PlannedPart, type ReadyBlend, type Step } from '../coats';
import { labOf, reflectanceOf, type Lab, type Spectrum } from '../colour';
import { coverage, depthForCoverage, mlForCoverage, pourForCoverage } from '../glitter';
import { bareWallColour } from '../vessel';
import { spreadOf, type Spread } from './spread';

export interface PlannedBlend {
  readonly area: AreaId;
  readonly areaName: string;
  readonly parts: readonly PlannedPart[];
  /** ml and g of one pour */
  readonly ml: number;
  readonly grams: number;
  /** flakes deep as poured, one pass */
  readonly poured: number;
  /** flakes deep that the coats' glues keep, all passes */
  readonly kept: number;
  readonly passes: number;
  /** flakes deep its glue holds a pass; null when all of it sticks */
  readonly hold: number | null;
  /** share left bare after all passes */
  readonly bare: number;
  /** hex of what is under it, and of what is seen from afar */
  readonly under: string;
  readonly seen: string;
  /** D65, of what is seen */
  readonly lab: Lab;
  /** hex over other bases at the same depth */
  readonly seenOver: { readonly white: string; readonly black: string; readonly silver: string };
  /** how the colour comes with each pass */
  readonly sweep: readonly { readonly passes: number; readonly bare: number; readonly seen: string }[];
  readonly spread: Spread;
  /** ml a pour for the cover below, or why no pour reaches it */
  readonly forCover: { readonly share: number; readonly ml: number | null; readonly most: number };
}

/** The cover a maker usually wants: 5 % bare is the point where more glitter no longer shows. */
export const FULL_COVER = 0.95;

const WHITE = reflectanceOf('#ffffff');
/** A bare steel cup. */
const SILVER = reflectanceOf(bareWallColour.steel);
/** Passes that a maker would lay at most. */
const MOST_PASSES = 5;
const BLACK = reflectanceOf('#000000');

interface Laid {
  readonly kept: number;
  readonly passes: number;
  readonly under: Spectrum;
  readonly hold: number;
  /** one standard deviation of it, as a share */
  readonly unsure: number;
}

/** How a blend is laid by this design's coats; before any coat is planned, as if glue kept all of it. */
export const laidBlend = (blend: ReadyBlend, steps: readonly Step[], start: Grounds): Laid =>
  laidBy(steps, blend) ?? notLaidYet(blend, steps, start);

/**
 * How a blend comes out: what stays bare, what is seen, what a full cover would take.
 * @param laid.area cm²
 */
export function blendOutcome(
  blend: ReadyBlend,
  { area, kept, passes, under, hold, unsure, light }: Laid & { readonly area: number; readonly light: Light },
): PlannedBlend {
  const over = (ground: Spectrum) => light.hex(light.rain(blend.parts, kept, ground));
  return {
    area: blend.area,
    areaName: blend.areaName,
    parts: blend.planned,
    ml: blend.ml,
    grams: blend.grams,
    poured: blend.poured,
    kept,
    passes,
    hold: Number.isFinite(hold) ? hold : null,
    bare: 1 - coverage(kept),
    under: light.hex(under),
    seen: over(under),
    lab: labOf(light.rain(blend.parts, kept, under)),
    seenOver: { white: over(WHITE), black: over(BLACK), silver: over(SILVER) },
    sweep: sweepOf(blend, kept / Math.max(1, passes), under, light),
    spread: spreadOf(blend, { passes, hold, unsure, under, light }),
    forCover: coverTarget(blend, hold, Math.max(1, passes), area),
  };
}

const sweepOf = (blend: ReadyBlend, depth: number, under: Spectrum, light: Light): PlannedBlend['sweep'] =>
  Array.from({ length: MOST_PASSES }, (_, i) => ({
    passes: i + 1,
    bare: 1 - coverage(depth * (i + 1)),
    seen: light.hex(light.rain(blend.parts, depth * (i + 1), under)),
  }));

function laidBy(steps: readonly Step[], blend: ReadyBlend): Laid | null {
  const pours = steps.filter(
    (step) => step.coat.kind === 'glitter' && step.planned.pours.some(({ on }) => on.includes(blend.area)),
  );
  const first = pours.at(0);
  if (!first) return null;
  const kept = pours.reduce((sum, step) => sum + heldDepth(blend, step.before[blend.area]), 0);
  const glue = pours.at(-1)?.before[blend.area].glue;
  return {
    kept,
    passes: pours.length,
    under: first.before[blend.area].spectrum,
    hold: glue?.hold ?? Infinity,
    unsure: glue?.unsure ?? 0,
  };
}

function notLaidYet(blend: ReadyBlend, steps: readonly Step[], start: Grounds): Laid {
  const grounds = steps.at(-1)?.after ?? start;
  return { kept: blend.poured, passes: 0, under: grounds[blend.area].spectrum, hold: Infinity, unsure: 0 };
}

function coverTarget(blend: ReadyBlend, hold: number, passes: number, area: number): PlannedBlend['forCover'] {
  const most = coverage(Math.min(hold, 1e6) * passes);
  if (blend.ml === 0 || area === 0) return { share: FULL_COVER, ml: null, most };
  const poured = Number.isFinite(hold) ? pourForCoverage(FULL_COVER, hold, passes) : depthForCoverage(FULL_COVER) / passes;
  if (poured === null) return { share: FULL_COVER, ml: null, most };
  return { share: FULL_COVER, ml: mlForCoverage(blend.parts, coverage(poured), area), most };
}
