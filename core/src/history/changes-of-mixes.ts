import type { PlannedBlend } from '../blends';
import type { PlannedPart } from '../coats';
import { asTheStopsSay } from '../design';
import { weighedWords } from '../formats';
import type { PlannedFade } from '../pots';
import { amountText, countText, listText, type Units } from '../units';
import type { Version } from './version';

/** Blends and fades: which jars came and went, ml a pour before and after. */
export function changesOfMixes(before: Version, after: Version, units: Units): readonly string[] {
  const areas = new Set([...before.design.areas, ...after.design.areas].map(({ id }) => id as string));
  return [...areas].flatMap((area) => {
    const [blend, oldBlend] = [after, before].map(({ plan }) => plan.blends.find((one) => one.area === area) ?? null);
    const [fade, oldFade] = [after, before].map(({ plan }) => plan.fades.find((one) => one.area === area) ?? null);
    if (fade || oldFade) return changesOfFade(oldFade, fade, before, after);
    return blend && after.design.areas.some(({ id }) => id === area) ? changesOfBlend(oldBlend, blend, units) : [];
  });
}

function changesOfBlend(before: PlannedBlend | null, after: PlannedBlend, units: Units): readonly string[] {
  const amount = ({ ml, gramsPerMl }: PlannedPart) => amountText(ml, units, gramsPerMl);
  const was = new Map((before?.parts ?? []).map((part) => [part.item, part]));
  const is = new Set(after.parts.map(({ item }) => item));
  const said = [
    ...after.parts.flatMap((part) => {
      const old = was.get(part.item);
      if (!old) return [`${part.name} added, ${amount(part)}`];
      return amount(old) === amount(part) ? [] : [`${part.name} ${amount(old)} → ${amount(part)}`];
    }),
    ...[...was.values()].filter(({ item }) => !is.has(item)).map(({ name }) => `${name} taken out`),
  ];
  return said.length > 0 ? [`Blend of ${after.areaName}: ${listText(said)}.`] : [];
}

function changesOfFade(old: PlannedFade | null, fade: PlannedFade | null, before: Version, after: Version): readonly string[] {
  if (!fade) return old && after.design.areas.some(({ id }) => id === old.area) ? [`${old.areaName} no longer fades.`] : [];
  const pots = countText(fade.slices.length, 'pot');
  if (!old) return [`${fade.areaName} fades, in ${pots}.`];
  const written = ({ design }: Version, asStops = false) => {
    const set = design.fades.find(({ area }) => area === fade.area);
    return JSON.stringify(set && asStops ? asTheStopsSay(set) : set);
  };
  if (written(before) === written(after)) return [];
  if (written(before, true) === written(after, true)) {
    const weighed = weighedWords(fade);
    return [weighed ? `${fade.areaName}: ${weighed}` : `The pots of ${fade.areaName} as its stops say again.`];
  }
  const from = countText(old.slices.length, 'pot');
  return [`The fade of ${fade.areaName} set otherwise, ${from === pots ? `in ${pots} as before` : `${from} → ${pots}`}.`];
}
