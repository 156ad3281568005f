import type { AreaId } from '../areas';
import type { CoatHeights, CoatId, CoatKindName } from '../design';
import type { Film } from '../colour';
import type { GradedPot, GradedPots, InkDose, InkEffect } from '../ink';
import type { PatternWish } from '../pattern';
import type { ShelfItemId, ShelfKind } from '../stock';
import type { WetDrive } from '../wet';
import type { PlannedPart } from './ready-blend';
import type { WetMeeting } from './wet-meetings';

export interface PlannedMix {
  readonly resin: string;
  /** A to B, and what it counts: ml or g */
  readonly ratio: readonly [number, number];
  readonly ratioBy: 'volume' | 'weight';
  readonly film: number;
  readonly fill: number;
  /** ml that are held back for colour laid into it */
  readonly held: number;
  readonly need: number;
  readonly a: number;
  readonly b: number;
  readonly mix: number;
  readonly aGrams: number;
  readonly bGrams: number;
}

/** Whole drops, or scoops, of an ink that are counted into a coat’s resin. */
export interface PlannedDrops {
  readonly item: ShelfItemId;
  readonly ink: string;
  readonly count: number;
  /** % of the resin that so many really are */
  readonly load: number;
  readonly dose: InkDose;
}

export interface PlannedPour {
  readonly area: AreaId;
  /** where it lies: the area's place, or those parts of it that the coat reaches */
  readonly on: readonly string[];
  readonly areaName: string;
  readonly parts: readonly PlannedPart[];
  readonly ml: number;
  readonly grams: number;
  readonly kept: number;
  /** share of the pour that isn't held and is caught on paper */
  readonly castOff: number;
}

/** How long a coat is left alone, and what shows that it is long enough. */
export interface PlannedWait {
  readonly minutes: number;
  readonly until: string;
  /** minutes after which the next coat no longer bonds by itself; left out where there is no such end */
  readonly closes?: number;
}

/** What a coat takes of a material that isn't poured, mixed or dropped; ml, or of a film sheets. */
export interface PlannedUse {
  readonly item: ShelfItemId;
  readonly kind: ShelfKind;
  readonly name: string;
  readonly amount: number;
  /** as one says it, with its unit */
  readonly reads: string;
  /** drops or scoops that are counted out; null of what is used by eye */
  readonly counted: { readonly count: number; readonly dose: InkDose } | null;
}

/** Colour as it is laid into wet resin. */
export interface LaidStrings {
  /** mm of the film it is laid into */
  readonly film: number;
  readonly drive: WetDrive;
  /** of each pot */
  readonly pots: readonly { readonly ml: number; readonly ink: InkEffect; readonly load: number }[];
  /** share of the wall that colour is seen on, once it lies still */
  readonly covers: number;
  /** of every two pots, over what most of the wall under them looks like */
  readonly meetings: readonly WetMeeting[];
}

/** Ink or pearl that lies in a pattern. */
export interface LaidPattern {
  readonly wish: PatternWish;
  /** of each of its classes; null where nothing lies */
  readonly films: readonly (Film | null)[];
}

/** Tinted resin whose load changes on the way up: what is stirred for what is stirred, and the pots mixed from it. */
export interface PlannedGrade extends GradedPots {
  readonly pots: readonly PlannedGradePot[];
}

export interface PlannedGradePot extends GradedPot {
  readonly heights: CoatHeights;
  readonly on: readonly string[];
  /** of the coat's resin, and of that the upper end's */
  readonly share: number;
  readonly upper: number;
}

export interface PlannedCoat {
  readonly id: CoatId;
  readonly kind: CoatKindName;
  readonly title: string;
  readonly where: string;
  readonly does: string;
  readonly needs: readonly string[];
  /** what must be true before it starts */
  readonly waitsFor: string;
  readonly area: number | null;
  readonly thickness: number | null;
  readonly mix: PlannedMix | null;
  readonly pours: readonly PlannedPour[];
  /** of each ink in its pot */
  readonly drops: readonly PlannedDrops[];
  /** how colour is laid into the wet resin under it; null of every other coat, and where none is wet */
  readonly strings: LaidStrings | null;
  /** how ink or pearl lies on the surface itself; null of every other coat */
  readonly pattern: LaidPattern | null;
  /** how its load changes on the way up; null where all of it is one pot */
  readonly graded: PlannedGrade | null;
  readonly uses: readonly PlannedUse[];
  /** minutes at the bench, and minutes to wait after */
  readonly handsOn: number;
  readonly wait: PlannedWait;
  readonly cautions: readonly string[];
  /** hex of each area after this coat */
  readonly seen: Readonly<Record<string, string>>;
  /** mm of all coats so far, at each place */
  readonly thick: Readonly<Record<string, number>>;
}
