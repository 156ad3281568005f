/** The version of the document this program writes. */
export const DESIGN_VERSION = 2;

type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json => typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * A design of an earlier version as one of this version; anything else is handed on as it is, for the
 * schema to judge.
 */
export function upgradeDesign(data: unknown): unknown {
  if (!isObject(data) || data['version'] !== 1) return data;
  const areas = data['areas'];
  return { ...data, version: DESIGN_VERSION, areas: Array.isArray(areas) ? areas.map(areaFrom1) : areas };
}

/** A design file of an earlier version as one of this; the design in it is upgraded where it is read. */
export const upgradeDesignFile = (data: unknown): unknown =>
  isObject(data) && data['version'] === 1 ? { ...data, version: DESIGN_VERSION } : data;

/** Version 1 knew bands as two heights above the foot, and the base. */
function areaFrom1(area: unknown): unknown {
  if (!isObject(area) || area['kind'] !== 'band') return area;
  const { from, to, ...rest } = area;
  const edge = (mm: unknown) => ({ level: { by: 'foot', mm }, teeth: null });
  return { ...rest, lower: edge(from), upper: edge(to) };
}
