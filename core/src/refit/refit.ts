import type { ZodError } from 'zod';
import { areaWidths, type Area } from '../areas';
import { scaledBlend } from '../blends';
import { newFindings, type Finding } from '../check';
import { withFix, type Fix } from '../coats';
import { designSchema, faultsOf, type CoatId, type Design, type Fade, type Workshop } from '../design';
import { planOf, type Plan } from '../plan';
import { UnclearRegionError } from '../regions';
import { amountText, areaText, countText, lengthText, roundUpToStep, tidy, type Units } from '../units';
import type { Cup } from '../vessel';
import { onCup, type RefitWays } from './on-cup';

/** What is another on the other cup, beside what it was. */
export interface RefitLine {
  readonly name: string;
  readonly before: string;
  readonly after: string;
}

/** A design on another cup: laid out and poured anew, with what no longer fits; or why it can't be. */
export type Refit =
  | {
      readonly fits: true;
      readonly design: Design;
      readonly before: Plan;
      readonly after: Plan;
      readonly lines: readonly RefitLine[];
      /** what is likely worse on this cup and wasn't on the other */
      readonly unfit: readonly Finding[];
    }
  | { readonly fits: false; readonly says: string };

/** A finding's remedy that is taken, and an id for a coat that it may bring. */
export interface Mend {
  readonly fix: Fix;
  readonly id: CoatId;
}

const faultOf = (error: ZodError): string => faultsOf(error).at(0)?.sentence ?? 'This doesn’t fit on that cup.';

/**
 * Refits a design on another cup: its areas as wished, each pour by how much more or less there is to cover, in whole spoons.
 * Films, masks and pots follow by themselves: they are worked out from the wall, but for pots that were weighed.
 * @param mends taken one after the other, once it is refitted
 */
export function refit(design: Design, cup: Cup, ways: RefitWays, workshop: Workshop, mends: readonly Mend[] = []): Refit {
  const read = designSchema.safeParse(onCup(design, cup, ways));
  if (!read.success) return { fits: false, says: faultOf(read.error) };
  try {
    const before = planOf(design, workshop);
    const laid = designSchema.safeParse(poured(read.data, before, planOf(read.data, workshop), workshop));
    if (!laid.success) return { fits: false, says: faultOf(laid.error) };
    const fitted = mends.reduce((one, { fix, id }) => withFix(one, fix, workshop, id), laid.data);
    const after = planOf(fitted, workshop);
    const { units } = workshop.settings;
    const lines = [...areaLines(before, after, units), ...countLines(design, fitted), ...widthLines(design, fitted, units)];
    return { fits: true, design: fitted, before, after, lines, unfit: newFindings(before.findings, after.findings) };
  } catch (error) {
    if (error instanceof UnclearRegionError) return { fits: false, says: error.message };
    throw error;
  }
}

/** Each blend as deep as it was: so many times more as its area grew, up to the next spoon. */
function poured(design: Design, before: Plan, after: Plan, { shelf, settings }: Workshop): Design {
  const areaOf = ({ areas }: Plan, id: string) => areas.areas.find((area) => area.id === id)?.area ?? 0;
  const blends = design.blends.map((blend) => {
    const [was, is] = [areaOf(before, blend.area), areaOf(after, blend.area)];
    const planned = before.blends.find(({ area }) => area === blend.area);
    if (!planned || was === 0 || is === 0 || planned.ml === 0) return blend;
    const { parts } = scaledBlend(planned, shelf, (planned.ml * is) / was, settings.spoonStep);
    return {
      ...blend,
      parts: blend.parts.map((part) => ({ ...part, ml: parts.find(({ item }) => item === part.item)?.ml ?? part.ml })),
    };
  });
  return { ...design, blends, fades: design.fades.map((fade) => weighedAnew(fade, before, after)) };
}

/** ml that a fine scale tells apart. */
const FINE = 0.01;

/** Pots that were weighed, by how much more or less each has to cover; the others are worked out from the wall. */
function weighedAnew(fade: Fade, before: Plan, after: Plan): Fade {
  const { area, weighed } = fade;
  if (!weighed) return fade;
  const areaOf = ({ fades }: Plan, pot: number) => fades.find((one) => one.area === area)?.slices.at(pot)?.area ?? 0;
  return {
    ...fade,
    weighed: weighed.map((one) => {
      const [was, is] = [areaOf(before, one.pot), areaOf(after, one.pot)];
      const anew = (ml: number) => (was === 0 || is === 0 ? ml : Math.max(FINE, roundUpToStep(tidy((ml * is) / was), FINE)));
      return { ...one, parts: one.parts.map((part) => ({ ...part, ml: anew(part.ml) })) };
    }),
  };
}

const areaLines = (before: Plan, after: Plan, units: Units): readonly RefitLine[] =>
  before.areas.areas.map(({ id, name, area: was }) => {
    const area = after.areas.areas.find((one) => one.id === id)?.area ?? null;
    const told = (cm2: number, { blends }: Plan) => {
      const blend = blends.find((one) => one.area === id);
      const pour = blend && blend.ml > 0 ? `, ${amountText(blend.ml, units, blend.grams / blend.ml)} a pour` : '';
      return `${areaText(cm2, units)}${pour}`;
    };
    return { name, before: told(was, before), after: area === null ? 'left out: this cup has none' : told(area, after) };
  });

/** Areas that are on both cups. */
const both = (before: Design, after: Design): readonly (readonly [Area, Area])[] =>
  after.areas.flatMap((area) => before.areas.flatMap((one) => (one.id === area.id ? [[one, area] as const] : [])));

/** Teeth, waves and motifs that are more, or fewer. */
const countLines = (before: Design, after: Design): readonly RefitLine[] =>
  both(before, after).flatMap(([there, area]) => {
    const [was, is] = [countsOf(there), countsOf(area)];
    return is.flatMap((text, at) => (text === was[at] ? [] : [{ name: area.name, before: was[at], after: text }]));
  });

function countsOf(area: Area): readonly string[] {
  if (area.kind === 'wave') return [countText(area.waves, 'wave')];
  if (area.kind === 'scatter') return [countText(area.count, 'motif')];
  if (area.kind !== 'band') return [];
  return [area.lower, area.upper].flatMap(({ teeth }) => (teeth ? [countText(teeth.count, 'tooth', 'teeth')] : []));
}

/** Sections stay as many: they are wider or narrower then. */
const widthLines = (before: Design, after: Design, units: Units): readonly RefitLine[] =>
  both(before, after).flatMap(([there, area]) => {
    if (area.kind !== 'wedge') return [];
    const [was, is] = [areaWidths(there, before.cup), areaWidths(area, after.cup)];
    return was && is
      ? [
          {
            name: area.name,
            before: `${lengthText(was.lower, units)} wide at its foot`,
            after: `${lengthText(is.lower, units)} wide at its foot`,
          },
        ]
      : [];
  });
