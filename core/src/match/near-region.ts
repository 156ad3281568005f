import { WHITE_POINT, xyzOfLab, type Lab, type Triple } from '../colour';
import type { Bound } from './bound';
import { differenceAtLeast, labReach, type Cell, type Interval } from './difference-bounds';
import { mostOver, WIDEST } from './facing-bound';
import { widthOf } from './share-sums';

/** The surroundings of a target are halved until they are so many cells, or so often. */
const ENOUGH_CELLS = 300;
const MOST_HALVINGS = 18;

/**
 * Half spaces of XYZ that together hold every colour within a difference of a target: what lies outside
 * one of them is surely further away. A box of L*a*b* that holds them all is halved and halved
 * again; cells whose every colour is further are dropped, and planes in 26 directions are laid round the rest.
 * @param target L*a*b*, D65
 * @param within ΔE00, 0 or more
 */
export function nearRegion(target: Lab, within: number): readonly Bound[] {
  const cells = cellsNear(target, within);
  const axes = axesAt(target);
  return directions.map(([u, v, w]) => {
    const along = (axis: number) => u * axes[0][axis] + v * axes[1][axis] + w * axes[2][axis];
    const way: Triple = [along(0), along(1), along(2)];
    const most = cells.reduce((best, cell) => Math.max(best, mostOver(cell, way)), -Infinity);
    return { x: -way[0], y: -way[1], z: -way[2], at: most };
  });
}

const signs = [-1, 0, 1];
const directions = signs
  .flatMap((u) => signs.flatMap((v) => signs.map((w): Triple => [u, v, w])))
  .filter((one) => one.some((sign) => sign !== 0));

/** Cells that together hold every colour near enough. */
function cellsNear(target: Lab, within: number): readonly Cell[] {
  const { L: reachL, ab } = labReach(target, within);
  const [L, a, b] = target;
  let cells: readonly Cell[] = [
    [
      [L - reachL, L + reachL],
      [Math.max(-WIDEST, a - ab), Math.min(WIDEST, a + ab)],
      [Math.max(-WIDEST, b - ab), Math.min(WIDEST, b + ab)],
    ],
  ];
  for (let halving = 0; halving < MOST_HALVINGS && cells.length < ENOUGH_CELLS; halving += 1)
    cells = cells.flatMap((cell) => halvesOf(cell).filter((part) => differenceAtLeast(target, part, within) <= within));
  return cells;
}

/** A cell halved across its longest side. */
function halvesOf(cell: Cell): readonly Cell[] {
  const longest = [1, 2].reduce((best, axis) => (widthOf(cell[axis]) > widthOf(cell[best]) ? axis : best), 0);
  const [from, to] = cell[longest];
  const middle = (from + to) / 2;
  const half = (part: Interval): Cell => [
    longest === 0 ? part : cell[0],
    longest === 1 ? part : cell[1],
    longest === 2 ? part : cell[2],
  ];
  return [half([from, middle]), half([middle, to])];
}

/** What L, a and b grow along in XYZ at a colour, each scaled so that a unit of it counts alike. */
function axesAt(target: Lab): readonly Triple[] {
  const at = xyzOfLab(target);
  const slopes = at.map((value, axis) => 1 / (3 * WHITE_POINT[axis] * Math.cbrt(Math.max(0.01, value / WHITE_POINT[axis])) ** 2));
  return [
    [0, 116 * slopes[1], 0],
    [500 * slopes[0], -500 * slopes[1], 0],
    [0, 200 * slopes[1], -200 * slopes[2]],
  ];
}
