import { deltaE2000, WHITE_POINT, xyzOfLab, type Lab, type Triple } from '../colour';
import type { Bound } from './bound';
import { differenceAtLeast, eighths, labReach, type Cell } from './difference-bounds';

/** How often the surroundings of a target are halved along each axis of L*a*b*; wide ones rule out little, however finely cut. */
const halvingsFor = (within: number): number => (within > 8 ? 2 : 3);
/** Share of the difference up to which a cell’s middle counts as well inside. */
const INNER = 0.6;

/**
 * Half spaces of XYZ that together hold every colour within a difference of a target: what lies outside
 * one of them is surely further away. A box of L*a*b* that holds them all is halved and halved
 * again; cells whose every colour is further are dropped, and planes in 26 directions are laid round the rest.
 * @param target L*a*b*, D65
 * @param within ΔE00, 0 or more
 * @returns none where the difference is so large that nothing can be ruled out
 */
export function nearRegion(target: Lab, within: number): readonly Bound[] {
  const reach = labReach(target, within);
  if (!Number.isFinite(reach.ab)) return [];
  const corners = cornersNear(target, within, reach);
  const axes = axesAt(target);
  return directions.map(([u, v, w]) => {
    const along = [0, 1, 2].map((axis) => u * axes[0][axis] + v * axes[1][axis] + w * axes[2][axis]);
    let most = -Infinity;
    for (let at = 0; at < corners.length; at += 3) {
      const reached = along[0] * corners[at] + along[1] * corners[at + 1] + along[2] * corners[at + 2];
      if (reached > most) most = reached;
    }
    return { x: -along[0], y: -along[1], z: -along[2], at: most };
  });
}

const signs = [-1, 0, 1];
const directions = signs
  .flatMap((u) => signs.flatMap((v) => signs.map((w): Triple => [u, v, w])))
  .filter((one) => one.some((sign) => sign !== 0));

/** Corners, X, Y and Z of one after the other, of the cells that may hold a colour near enough; X, Y and Z each rise with what they hang on. */
function cornersNear(target: Lab, within: number, reach: { L: number; ab: number }): readonly number[] {
  const corners: number[] = [];
  const look = (cell: Cell, halvings: number): void => {
    if (differenceAtLeast(target, cell, within) > within) return;
    // Cells well inside lie behind those further out, whatever their size.
    const inner = halvings < 2 && deltaE2000(target, middleOf(cell)) < INNER * within;
    if (halvings === 0 || inner) {
      for (const l of cell[0])
        for (const a of cell[1])
          for (const b of cell[2]) {
            const xyz = xyzOfLab([l, a, b]);
            corners.push(xyz[0], xyz[1], xyz[2]);
          }
    } else for (const part of eighths(cell)) look(part, halvings - 1);
  };
  const [L, a, b] = target;
  look(
    [
      [L - reach.L, L + reach.L],
      [a - reach.ab, a + reach.ab],
      [b - reach.ab, b + reach.ab],
    ],
    halvingsFor(within),
  );
  return corners;
}

const middleOf = ([l, a, b]: Cell): Lab => [(l[0] + l[1]) / 2, (a[0] + a[1]) / 2, (b[0] + b[1]) / 2];

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
