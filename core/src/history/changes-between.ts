import { schoolWays, type Design, type School, type Workshop } from '../design';
import { createPlanner, type Plan } from '../plan';
import { UnclearRegionError } from '../regions';
import { amountText, areaText, type Units } from '../units';
import { changesOfAreas } from './changes-of-areas';
import { changesOfCoats } from './changes-of-coats';
import { changesOfMixes } from './changes-of-mixes';
import type { Version } from './version';

const planner = createPlanner();

/**
 * What changed from one version of a design to another, in sentences with the figures that moved: what a maker did first,
 * then what it comes to. Both are planned with the shelf as it is now, so that only the design differs.
 */
export function changesBetween(before: Design, after: Design, workshop: Workshop): readonly string[] {
  const [one, other] = [versionOf(before, workshop), versionOf(after, workshop)];
  if (!one || !other) return ['Its areas can’t be told apart in one of the two; open it to see.'];
  const { units } = workshop.settings;
  const said = [
    ...changesOfName(before, after),
    ...changesOfCup(one, other, units),
    ...changesOfAreas(one, other, units),
    ...changesOfMixes(one, other, units),
    ...changesOfCoats(one, other, units),
    ...changesOfExceptions(before, after),
    ...changesOfWays(before, after),
    ...changesOfTotals(one.plan, other.plan, units),
  ];
  return said.length > 0 ? said : ['Nothing that shows.'];
}

function versionOf(design: Design, workshop: Workshop): Version | null {
  try {
    return { design, plan: planner(design, workshop) };
  } catch (error) {
    if (error instanceof UnclearRegionError) return null;
    throw error;
  }
}

const changesOfName = (before: Design, after: Design): readonly string[] =>
  before.name === after.name ? [] : [`Called “${after.name}” instead of “${before.name}”.`];

function changesOfCup(before: Version, after: Version, units: Units): readonly string[] {
  if (JSON.stringify(before.design.cup) === JSON.stringify(after.design.cup)) return [];
  const [was, is] = [before.plan.surface.coatable, after.plan.surface.coatable].map((cm2) => areaText(cm2, units));
  const figures = was === is ? `${is} to coat as before` : `${was} → ${is} to coat`;
  const name = after.design.cup.name;
  return [before.design.cup.name === name ? `${name} measured anew: ${figures}.` : `Another cup, ${name}: ${figures}.`];
}

const changesOfExceptions = (before: Design, after: Design): readonly string[] => {
  const reasons = ({ exceptions = [] }: Design) => exceptions.map(({ rule, reason }) => `“${rule}”: ${reason}`);
  const [was, is] = [reasons(before), reasons(after)];
  return [
    ...is.filter((one) => !was.includes(one)).map((one) => `Left so, ${one}.`),
    ...was.filter((one) => !is.includes(one)).map((one) => `To be looked at again, ${one}.`),
  ];
};

/** Where it goes another way than its workshop, or no longer does. */
function changesOfWays({ schools: was = {} }: Design, { schools: is = {} }: Design): readonly string[] {
  const changed = (Object.keys(schoolWays) as School[]).filter((school) => was[school] !== is[school]);
  return changed.map((school) => {
    const { asks, ways } = schoolWays[school];
    const way = ways.find((one) => one.way === is[school])?.name ?? 'as the workshop does';
    return `${asks}: ${way}.`;
  });
}

/** ml of all glitter and of all resin, where they moved. */
function changesOfTotals({ totals: was }: Plan, { totals: is }: Plan, units: Units): readonly string[] {
  const [wasGlitter, isGlitter] = [was, is].map(({ glitterMl, glitterGrams }) => textOf(glitterMl, glitterGrams, units));
  const [wasResin, isResin] = [was, is].map(({ resinMl, resinGrams }) => textOf(resinMl, resinGrams, units));
  return [
    ...(wasGlitter === isGlitter ? [] : [`All glitter ${wasGlitter} → ${isGlitter}.`]),
    ...(wasResin === isResin ? [] : [`All resin ${wasResin} → ${isResin}.`]),
  ];
}

const textOf = (ml: number, grams: number, units: Units): string => amountText(ml, units, ml > 0 ? grams / ml : 1);
