import { reflectanceOf, type Spectrum } from '../colour';
import type { CupPlaces } from '../layout';
import { groundLook, type Look } from '../look';
import type { FlakeBed } from '../resin';
import type { GlueWay } from '../stock';

/** What one place of the cup is like between two coats. */
export interface Ground {
  readonly spectrum: Spectrum;
  /** the same for the picture, layer by layer */
  readonly look: Look;
  /** soft glue waiting for glitter */
  readonly glue: { readonly way: GlueWay; readonly hold: number; readonly unsure: number; readonly open: number | null } | null;
  /** the way the glitter on it was stuck, once there is any */
  readonly stuckBy: GlueWay | null;
  /** depth × thickness of flakes no resin has filled yet, µm */
  readonly rawMicrons: number;
  readonly sealed: boolean;
  /** tape or a stencil lies over it */
  readonly masked: boolean;
  /** resin lies over all that is seen there */
  readonly glossy: boolean;
  /** powder or foil that comes off until a clear coat holds it */
  readonly loose: boolean;
  /** the flakes that no resin lay over when they came, as they lie; null before any */
  readonly bed: FlakeBed | null;
  /** coarsest flake not yet pressed flat, mm */
  readonly unpressed: number;
  readonly hasGlitter: boolean;
  /** resin over the flakes, mm */
  readonly cover: number;
  /** all coats together, mm */
  readonly thickness: number;
}

/** Each place by its area's id, and the three that no area covers. */
export type Grounds = Readonly<Record<string, Ground>>;

/** The wall as it comes, by the colour it is seen in. */
const bareGround = (hex: string): Ground => ({
  spectrum: reflectanceOf(hex),
  look: [groundLook(hex)],
  glue: null,
  stuckBy: null,
  rawMicrons: 0,
  sealed: false,
  masked: false,
  glossy: false,
  loose: false,
  bed: null,
  unpressed: 0,
  hasGlitter: false,
  cover: 0,
  thickness: 0,
});

/** Every place of a cup as it comes. */
export function bareGrounds({ sizes }: CupPlaces, hex: string): Grounds {
  const bare = bareGround(hex);
  return Object.fromEntries(Object.keys(sizes).map((place) => [place, bare]));
}

/**
 * The grounds with some places changed.
 * @param change what of a place becomes another; the ground itself where nothing does
 */
export function changedGrounds(
  grounds: Grounds,
  places: readonly string[],
  change: (ground: Ground, place: string) => Partial<Ground>,
): Grounds {
  // Assigned, not spread: what the page is built with turns spreads into loops over fields, a tenth of a dragged step's script.
  const next: Record<string, Ground> = Object.assign({}, grounds);
  for (const place of places) {
    const changed = change(grounds[place], place);
    if (changed !== grounds[place]) next[place] = Object.assign({}, grounds[place], changed);
  }
  return next;
}
