import type { Triple } from '../colour';
import type { Look } from '../look';
import type { FlakeFaceKind } from './face-light';
import type { FieldLight } from './field-light';

/* What a picture of flakes is asked for with, and what it is: the types that the files of this folder pass each other. */
/** Part of the picture, by its pixels in rising order, with what lies on it. Parts don't share pixels. */
export interface FieldRegion {
  readonly pixels: Uint32Array;
  readonly look: Look;
}

export interface FieldRequest {
  /** pixels */
  readonly width: number;
  readonly height: number;
  /** pixels a mm down the wall */
  readonly rowsPerMm: number;
  /** pixels a mm round the wall at each row: the wrap is wider at the rim of a taper */
  readonly columnsPerMm: (row: number) => number;
  readonly regions: readonly FieldRegion[];
  /** hex where no region lies */
  readonly ground: string;
  readonly seed: number;
  /** the picture goes round the cup, so flakes over one side come back on the other */
  readonly wraps: boolean;
  /** the light it will be looked at in, where that stays: its colours then come with the picture */
  readonly light?: FieldLight;
}

/** What a stack looks like, linear RGB: all of it, what of that comes off the flake on top, and which flake that is. */
export interface StackLook {
  readonly seen: Triple;
  readonly glint: Triple | null;
  readonly flake: number;
}

/** How the stacks of one part of a picture look. */
export interface FieldPart {
  readonly stacks: readonly StackLook[];
  readonly flakes: readonly FlakeFaceKind[];
}

/** A picture of flakes not yet lit: which stack each pixel has and how its uppermost flake lies. */
export interface FlakeField {
  readonly width: number;
  readonly height: number;
  /** by pixel: the number of its stack within its part × 64 + the tilt of the flake on top */
  readonly tokens: Uint16Array<ArrayBuffer>;
  /** by pixel its part, from 1, 0 being bare wall; null while part 1 has the whole picture */
  readonly owner: Uint16Array<ArrayBuffer> | null;
  /** by number, the bare wall first */
  readonly parts: readonly FieldPart[];
  /** what it looks like in the light it is asked for; null when that moves */
  readonly colours: FieldColours | null;
  /** of the pixels that flakes were dropped on, the share that none covers; null without flakes, or until all are dropped */
  readonly bareShare: number | null;
  readonly flakes: number;
  /** hex of the mean light of the parts that flakes were dropped on; null as for the bare share */
  readonly seen: string | null;
  /** 1 once it is as fine as it was wished, 0 of one that comes coarse before it */
  readonly done: number;
}

/** The colours of a picture in a light: what is worked out, while its pixels are only looked up. */
export interface FieldColours {
  readonly light: string | null;
  /** by way, part, stack and tilt */
  readonly colours: Uint32Array<ArrayBuffer>;
  /** where each part begins, and how many colours a way has */
  readonly starts: Uint32Array<ArrayBuffer>;
  readonly length: number;
}
