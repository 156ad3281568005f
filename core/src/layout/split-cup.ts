import { areaShape, areaWeight, areaWidths, scatteredPlaces, type Area, type AreaId } from '../areas';
import { bandRegion, boxOfRegion, laidOver, leftOf, ontoOneTurn, wallMeasure, type Region } from '../regions';
import { rememberEach } from '../remember';
import { circumferenceAt, coatedHeight, gripArea, heightOf, undersideArea, type Cup } from '../vessel';
import type { PlannedArea, PlannedAreas } from './planned-areas';

/** Shapes by the area they are of: dragging one area draws none of the others anew. */
const ownShape = rememberEach(areaShape, 2);

/** Where the handle sits: it stays bare, and no area reaches under it. */
export const handlePatch = rememberEach((cup: Cup): Region => {
  const { handle, stations } = cup;
  if (!handle) return [];
  const heights = [
    handle.from,
    ...stations.map(({ height }) => height).filter((h) => h > handle.from && h < handle.to),
    handle.to,
  ];
  const side = (sign: 1 | -1) =>
    heights.map((height) => [handle.angle + (sign * 180 * handle.width) / circumferenceAt(stations, height), height] as const);
  const left = side(-1);
  return ontoOneTurn([[[...left, ...side(1).reverse(), left[0]]]]);
}, 1);

/**
 * The cup split into its areas: later ones take from earlier ones, none reaches under the handle.
 * @throws UnclearRegionError when edges lie too nearly on each other to be told apart
 */
export function layoutOf(cup: Cup, areas: readonly Area[]): PlannedAreas {
  const measure = wallMeasure(cup.stations);
  const patch = handlePatch(cup);
  const own = new Map<AreaId, Region>();
  for (const area of areas) if (area.kind !== 'scatter' || area.inside === null) own.set(area.id, ownShape(area, cup, null));
  // What is scattered inside another area needs that one's shape first; a scatter in a scatter, or in itself, lies anywhere.
  for (const area of areas) if (!own.has(area.id)) own.set(area.id, ownShape(area, cup, hostOf(area, own)));
  const shapes = areas.map(({ id }) => own.get(id) ?? []);
  const regions = laidOver([...shapes, patch]).slice(0, -1);
  const planned = areas.map((area, index): PlannedArea => {
    const size = measure.areaOf(regions[index]);
    const placed = area.kind === 'scatter' ? scatteredPlaces(area, cup, hostOf(area, own)).length : 0;
    return { ...plannedArea(area, cup, areas, shapes[index], size), region: regions[index], motifs: motifsOf(area, placed) };
  });
  const taken = [...shapes, patch];
  const leftOver = leftOf(bandRegion(0, coatedHeight(cup)), taken);
  const lip = cup.lipStrip > 0 ? leftOf(bandRegion(coatedHeight(cup), heightOf(cup)), taken) : [];
  return {
    areas: planned,
    leftOver: { area: measure.areaOf(leftOver), region: leftOver },
    bareBase: areas.some(({ kind }) => kind === 'base') ? 0 : undersideArea(cup),
    bareGrip: areas.some(({ kind }) => kind === 'grip') ? 0 : gripArea(cup),
    bareLip: measure.areaOf(lip),
    barePatch: { area: measure.areaOf(patch), region: patch },
  };
}

const hostOf = (area: Area, own: ReadonlyMap<AreaId, Region>): Region | null =>
  (area.kind === 'scatter' && area.inside !== null && own.get(area.inside)) || null;

const motifsOf = (area: Area, placed: number): PlannedArea['motifs'] =>
  area.kind === 'scatter' ? { wanted: area.count, placed } : null;

function plannedArea(
  area: Area,
  cup: Cup,
  areas: readonly Area[],
  own: Region,
  size: number,
): Omit<PlannedArea, 'region' | 'motifs'> {
  const box = boxOfRegion(own);
  const widths = areaWidths(area, cup);
  // Off the wall there is one place of a kind: the last area there takes it whole.
  const whole = area.kind === 'base' ? undersideArea(cup) : area.kind === 'grip' ? gripArea(cup) : null;
  const last = areas.findLast(({ kind }) => kind === area.kind) === area;
  return {
    id: area.id,
    name: area.name,
    kind: area.kind,
    masked: area.masked,
    own,
    from: box?.bottom ?? null,
    to: box?.top ?? null,
    area: whole === null ? size : last ? whole : 0,
    lowerWidth: widths?.lower ?? null,
    upperWidth: widths?.upper ?? null,
  };
}

/** About how many points the outlines of some areas have: what laying them out costs grows with it. */
export const layoutWeight = (areas: readonly Area[]): number => areas.reduce((sum, area) => sum + areaWeight(area), 0);
