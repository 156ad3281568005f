import { randomStream } from '../field/random';
import { wallMeasure } from '../regions';
import { circumferenceAt, radiusOf, wallLength, type Station } from '../vessel';

/** What is scattered where. Lengths mm along the wall. */
export interface ScatterWish {
  readonly stations: readonly Station[];
  readonly from: number;
  readonly to: number;
  readonly count: number;
  /** no two middles are nearer than this */
  readonly apart: number;
  /** −1 all towards the foot, 0 even, 1 all towards the rim */
  readonly dense: number;
  readonly seed: number;
  /** whether a middle may lie here */
  readonly allows: (angle: number, height: number) => boolean;
}

export type ScatteredPlace = readonly [angle: number, height: number];

/** Densest packing of discs covers π/√12 of a plane; a random one about two thirds of that. */
const START_SHARE = 0.8;
const SHRINK = 0.9;
/** misses in a row, for each still wanted, before the spacing is eased */
const PATIENCE = 14;
const LAST_PATIENCE = 6000;

/**
 * Places spread at random but never close: Poisson-disc sampling on the wall itself (distance along
 * the cup, not in the picture), going on across the seam. The spacing begins as wide as the wanted
 * number could just have, and eases until all are placed or `apart` is reached. Towards the dense end
 * spacing shrinks as one over the root of the density. The same seed gives the same places for ever.
 * (After R. Cook, "Stochastic sampling in computer graphics", 1986: dart throwing; here with a grid.)
 */
export function scatterPlaces(wish: ScatterWish): readonly ScatteredPlace[] {
  const { stations, from, to, count, apart, dense, seed, allows } = wish;
  if (count <= 0 || to <= from) return [];
  const random = randomStream(seed);
  const measure = wallMeasure(stations);
  const [low, high] = [measure.below(from), measure.below(to)];
  const area = (high - low) * 2 * Math.PI;
  const density = (height: number) => 1 + dense * ((2 * (height - from)) / (to - from) - 1) * 0.9;
  const most = 1 + Math.abs(dense) * 0.9;
  let spacing = Math.max(apart, START_SHARE * Math.sqrt((2 * area) / (Math.sqrt(3) * count)));
  const grid = new NearGrid(stations, Math.max(apart, spacing / Math.sqrt(1 - Math.abs(dense) * 0.9)));
  const places: ScatteredPlace[] = [];
  let misses = 0;
  while (places.length < count) {
    const height = measure.heightWith(low + random() * (high - low));
    const angle = random() * 360;
    const here = density(height);
    const near = Math.max(apart, spacing / Math.sqrt(here));
    if (random() * most < here && allows(angle, height) && grid.free(angle, height, near)) {
      grid.put(angle, height);
      places.push([angle, height]);
      misses = 0;
      continue;
    }
    misses += 1;
    const left = count - places.length;
    // Only once no room is left at the closest spacing may a motif be called one too many.
    if (misses < (spacing <= apart ? LAST_PATIENCE + PATIENCE * left : PATIENCE * left + 200)) continue;
    if (spacing <= apart) break;
    spacing = Math.max(apart, spacing * SHRINK);
    misses = 0;
  }
  return places;
}

/** Middles kept in rows along the wall and cells round it, so that only near ones are measured. */
class NearGrid {
  private readonly rows: { readonly cells: (readonly [angle: number, along: number, radius: number])[][] }[] = [];

  constructor(
    private readonly stations: readonly Station[],
    private readonly size: number,
  ) {}

  put(angle: number, height: number): void {
    const along = wallLength(this.stations, 0, height);
    const radius = radiusOf(circumferenceAt(this.stations, height));
    const row = this.row(Math.floor(along / this.size));
    row.cells[Math.floor((angle / 360) * row.cells.length)].push([angle, along, radius]);
  }

  free(angle: number, height: number, near: number): boolean {
    const along = wallLength(this.stations, 0, height);
    const radius = radiusOf(circumferenceAt(this.stations, height));
    const middle = Math.floor(along / this.size);
    for (let r = Math.max(0, middle - 1); r <= middle + 1; r += 1) {
      const { cells } = this.row(r);
      const at = Math.floor((angle / 360) * cells.length);
      const reach = Math.min(cells.length - 1, 1);
      for (let c = at - reach; c <= at + reach; c += 1) {
        for (const other of cells[(c + cells.length) % cells.length]) {
          let turn = Math.abs(other[0] - angle);
          if (turn > 180) turn = 360 - turn;
          const round = ((other[2] + radius) / 2) * turn * (Math.PI / 180);
          if (round * round + (other[1] - along) ** 2 < near * near) return false;
        }
      }
    }
    return true;
  }

  /** Cells of a row are at least as wide as `size` anywhere in it, where the wall is narrowest. */
  private row(index: number): { readonly cells: (readonly [number, number, number])[][] } {
    while (this.rows.length <= index) this.rows.push({ cells: Array.from({ length: this.cellsRound() }, () => []) });
    return this.rows[index];
  }

  private cellsRound(): number {
    const narrowest = Math.min(...this.stations.map((station) => station.circumference));
    return Math.max(1, Math.floor(narrowest / this.size));
  }
}
