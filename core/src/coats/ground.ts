import { reflectanceOf, type Spectrum } from '../colour';
import { groundLook, type Look } from '../field/look';
import type { GlueWay } from '../stock';

/** What one place of the cup is like between two coats. */
export interface Ground {
  readonly spectrum: Spectrum;
  /** the same for the picture, layer by layer */
  readonly look: Look;
  /** soft glue waiting for glitter */
  readonly glue: { readonly way: GlueWay; readonly hold: number; readonly open: number | null } | null;
  /** the way the glitter on it was stuck, once there is any */
  readonly stuckBy: GlueWay | null;
  /** depth × thickness of flakes no resin has filled yet, µm */
  readonly rawMicrons: number;
  readonly sealed: boolean;
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

/* With a “/”, which no area's id has. */
export const LEFT_OVER = '/left-over';
export const BARE_BASE = '/base-bare';
export const BARE_GRIP = '/grip-bare';

/** The wall as it comes, by the colour it is seen in. */
export const bareGround = (hex: string): Ground => ({
  spectrum: reflectanceOf(hex),
  look: [groundLook(hex)],
  glue: null,
  stuckBy: null,
  rawMicrons: 0,
  sealed: false,
  unpressed: 0,
  hasGlitter: false,
  cover: 0,
  thickness: 0,
});

/** The grounds with some places changed. */
export function changedGrounds(
  grounds: Grounds,
  places: readonly string[],
  change: (ground: Ground, place: string) => Ground,
): Grounds {
  const next: Record<string, Ground> = { ...grounds };
  for (const place of places) next[place] = change(grounds[place], place);
  return next;
}
