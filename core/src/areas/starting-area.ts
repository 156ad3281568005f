import { coatedHeight, footLevel, levelAt, levelHeight, topLevel, type Cup } from '../vessel';
import { plainEdge } from './edge';
import type { AreaId } from './area-id';
import type { Area, AreaKindName } from './index';

const half = (value: number): number => Math.round(value * 2) / 2;

/**
 * What a new area of a kind starts from: something to see at once, sound on any cup it is made for.
 * @param reached mm above the foot up to which areas lie already
 * @param number tells it apart in its name
 */
export function startingArea(kind: AreaKindName, id: AreaId, number: number, cup: Cup, reached: number): Area {
  const top = coatedHeight(cup);
  const middle = levelAt(half(top / 2), 'foot', cup);
  const shared = { id, name: `${names[kind]} ${number}`, locked: false, masked: false };
  // Opposite the seam is where the eye goes first, unless a handle is there.
  const clear = cup.handle ? (cup.handle.angle + 90) % 360 : 180;
  const whole = { lower: footLevel(0), upper: topLevel };
  switch (kind) {
    case 'band': {
      const from = reached < top - 1 ? reached : Math.round(top / 2);
      return { kind, ...shared, lower: plainEdge(footLevel(from)), upper: plainEdge(topLevel) };
    }
    case 'wedge':
      return { kind, ...shared, from: 120, width: 120, lean: 0, ...whole };
    case 'spiral':
      return {
        kind,
        ...shared,
        start: 180,
        pitch: half(top / 2),
        width: half(Math.max(4, top / 16)),
        hand: 'right',
        stripes: 1,
        ...whole,
      };
    case 'wave':
      return { kind, ...shared, level: middle, waves: 5, swing: half(top / 8), width: half(top / 12), shift: 0 };
    case 'window':
      return {
        kind,
        ...shared,
        outline: { shape: 'hexagon' },
        angle: clear,
        level: middle,
        width: half(Math.min(40, top / 4)),
        turn: 0,
      };
    case 'scatter':
      return {
        kind,
        ...shared,
        outline: { shape: 'spot' },
        width: half(Math.min(10, top / 16)),
        count: 40,
        seed: 1,
        clearance: 2,
        dense: 0,
        turn: 'upright',
        inside: null,
        ...whole,
      };
    case 'base':
      return { kind, ...shared, name: names.base };
    case 'grip':
      return { kind, ...shared, name: names.grip };
  }
}

const names: Record<AreaKindName, string> = {
  band: 'Band',
  wedge: 'Section',
  spiral: 'Spiral',
  wave: 'Wave',
  window: 'Motif',
  scatter: 'Scatter',
  base: 'Underside',
  grip: 'Handle',
};

/** How high up the wall the bands among some areas reach, mm. */
export const reachedByBands = (areas: readonly Area[], cup: Cup): number =>
  Math.max(0, ...areas.flatMap((area) => (area.kind === 'band' ? [levelHeight(area.upper.level, cup)] : [])));
