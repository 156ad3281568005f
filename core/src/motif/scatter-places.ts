import { randomStream } from '../random';
import { wallMeasure } from '../regions';
import { mostRoundabout, mostSpread, reachOnWall, wallDistance, type Station, type WallSpot } from '../vessel';

/** What is scattered where. Lengths mm along the wall. */
export interface ScatterWish {
  readonly stations: readonly Station[];
  readonly from: number;
  readonly to: number;
  readonly count: number;
  /** no two middles are nearer than this, over the surface */
  readonly apart: number;
  /** mm that a motif reaches from its middle on its flat sheet: it spreads where the wall leans far */
  readonly reach?: number;
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
/** mm that nobody sees, and that no place is given up for */
const UNSEEN = 0.02;

/**
 * Places spread at random but never close: Poisson-disc sampling on the wall itself (distance along
 * the cup, not in the picture), going on across the seam. The spacing begins as wide as the wanted
 * number could just have, and eases until all are placed or `apart` is reached. Towards the dense end
 * spacing shrinks as one over the root of the density. The same seed gives the same places for ever.
 * (After R. Cook, "Stochastic sampling in computer graphics", 1986: dart throwing; here with a grid.)
 */
export function scatterPlaces(wish: ScatterWish): readonly ScatteredPlace[] {
  const { stations, from, to, count, apart, reach = 0, dense, seed, allows } = wish;
  if (count <= 0 || to <= from) return [];
  const random = randomStream(seed);
  const measure = wallMeasure(stations);
  const [low, high] = [measure.below(from), measure.below(to)];
  const area = (high - low) * 2 * Math.PI;
  const density = (height: number) => 1 + dense * ((2 * (height - from)) / (to - from) - 1) * 0.9;
  const most = 1 + Math.abs(dense) * 0.9;
  let spacing = Math.max(apart, START_SHARE * Math.sqrt((2 * area) / (Math.sqrt(3) * count)));
  // As far as any two must be apart, spread and all.
  const widest = Math.max(apart, spacing / Math.sqrt(1 - Math.abs(dense) * 0.9)) + 2 * mostSpread(stations, reach);
  const grid = new NearGrid(stations, widest);
  const places: ScatteredPlace[] = [];
  let misses = 0;
  while (places.length < count) {
    const height = measure.heightWith(low + random() * (high - low));
    const angle = random() * 360;
    const radius = measure.radius(height);
    const spread = reachOnWall(stations, { angle, height, radius }, reach) - reach;
    const spot: Spot = { angle, height, along: measure.along(height), radius, spread: spread > UNSEEN ? spread : 0 };
    const here = density(height);
    const near = Math.max(apart, spacing / Math.sqrt(here));
    if (random() * most < here && grid.free(spot, near, apart) && allows(angle, height)) {
      grid.put(spot);
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

/** A middle as the grid measures from it: mm along the wall from the foot, and mm its motif reaches further than on paper. */
interface Spot extends WallSpot {
  readonly along: number;
  readonly spread: number;
}

/** Middles kept in rows along the wall and cells round it, so that only near ones are measured. */
class NearGrid {
  private readonly rows: Spot[][][] = [];
  /** cells of a row are at least as wide as `size` anywhere in it, where the wall is narrowest */
  private readonly round: number;

  constructor(
    private readonly stations: readonly Station[],
    private readonly size: number,
  ) {
    // On a wall nearly as flat as a plate the straight way across is shorter than the one round.
    const cell = size * mostRoundabout(stations);
    this.round = Math.max(1, Math.floor(Math.min(...stations.map((station) => station.circumference)) / cell));
  }

  put(spot: Spot): void {
    this.row(Math.floor(spot.along / this.size))[Math.floor((spot.angle / 360) * this.round)].push(spot);
  }

  free(spot: Spot, near: number, apart: number): boolean {
    const { angle, along, radius } = spot;
    const middle = Math.floor(along / this.size);
    const at = Math.floor((angle / 360) * this.round);
    const reach = Math.min(this.round - 1, 1);
    for (let r = Math.max(0, middle - 1); r <= middle + 1; r += 1) {
      const cells = this.row(r);
      for (let c = at - reach; c <= at + reach; c += 1) {
        for (const other of cells[(c + this.round) % this.round]) {
          const up = other.along - along;
          let turn = Math.abs(other.angle - angle);
          if (turn > 180) turn = 360 - turn;
          const across = ((other.radius + radius) / 2) * turn * (Math.PI / 180);
          if (across * across + up * up < near * near) return false;
          // Wider spacing is for the look; only what was promised is held to over the surface.
          const wanted = apart + spot.spread + other.spread;
          if (wallDistance(this.stations, spot, other) < wanted - UNSEEN) return false;
        }
      }
    }
    return true;
  }

  private row(index: number): Spot[][] {
    while (this.rows.length <= index) this.rows.push(Array.from({ length: this.round }, () => []));
    return this.rows[index];
  }
}
