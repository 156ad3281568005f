import { areaKinds } from '../areas';
import { areaText, listText, type Units } from '../units';
import type { Version } from './version';

/** Areas that came, went, were laid otherwise, renamed or put in another order; cm² they keep before and after. */
export function changesOfAreas(before: Version, after: Version, units: Units): readonly string[] {
  const size = ({ plan }: Version, id: string) => areaText(plan.areas.areas.find((area) => area.id === id)?.area ?? 0, units);
  const was = new Map(before.design.areas.map((area) => [area.id, area]));
  const is = new Map(after.design.areas.map((area) => [area.id, area]));
  const came = after.design.areas.filter(({ id }) => !was.has(id));
  const gone = before.design.areas.filter(({ id }) => !is.has(id));
  const stayed = after.design.areas.flatMap((area) => {
    const old = was.get(area.id);
    return old ? [{ old, area }] : [];
  });
  const said = stayed.flatMap(({ old, area }) => {
    const renamed = old.name === area.name ? [] : [`“${old.name}” is called “${area.name}” now.`];
    if (JSON.stringify({ ...area, name: '' }) === JSON.stringify({ ...old, name: '' })) return renamed;
    const [from, to] = [size(before, area.id), size(after, area.id)];
    return [...renamed, `${area.name} laid otherwise: ${from === to ? `${to} as before` : `${from} → ${to}`}.`];
  });
  const order = stayed.map(({ area }) => area.id).join();
  const oldOrder = before.design.areas.flatMap(({ id }) => (is.has(id) ? [id] : [])).join();
  return [
    ...came.map((area) => `${area.name} added, a ${areaKinds[area.kind].name.toLowerCase()} of ${size(after, area.id)}.`),
    ...(gone.length > 0 ? [`${listText(gone.map(({ id, name }) => `${name} (${size(before, id)})`))} taken out.`] : []),
    ...said,
    ...(order === oldOrder ? [] : ['The areas lie in another order.']),
    ...leftOver(before, after, units),
  ];
}

function leftOver(before: Version, after: Version, units: Units): readonly string[] {
  const [from, to] = [before, after].map(({ plan }) => areaText(plan.areas.leftOver.area, units));
  return from === to ? [] : [`Left over ${from} → ${to}.`];
}
