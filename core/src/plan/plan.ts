import type { Finding } from '../check';
import type { Lab } from '../colour';
import type { InkDose } from '../ink';
import type { Look } from '../field/look';
import type { Region } from '../regions';
import type { AreaId, AreaKindName } from '../areas';
import type { CoatId, CoatKindName, DesignId, FadeWay } from '../design';
import type { FadePlan, FadePot, PotSlot } from '../fade';
import type { ShelfItemId } from '../stock';
import type { Spread } from './spread';

/** The cup in numbers. Areas cm², lengths mm, volume ml. */
export interface PlannedSurface {
  readonly height: number;
  readonly coatedHeight: number;
  readonly footCircumference: number;
  readonly rimCircumference: number;
  readonly wall: number;
  readonly base: number;
  /** the handle’s own outside */
  readonly grip: number;
  /** wall below the bare lip strip and clear of the handle’s patch, the base and the handle */
  readonly coatable: number;
  readonly volume: number;
}

export interface PlannedArea {
  readonly id: AreaId;
  readonly name: string;
  readonly kind: AreaKindName;
  readonly masked: boolean;
  /** its own shape on the wall, before later areas take from it; nothing for those off the wall */
  readonly own: Region;
  /** the wall it keeps */
  readonly region: Region;
  /** heights its own shape lies between, mm; null off the wall */
  readonly from: number | null;
  readonly to: number | null;
  /** cm² it keeps */
  readonly area: number;
  /** along the tape at its lower and upper end, mm; null off the wall */
  readonly lowerWidth: number | null;
  readonly upperWidth: number | null;
  /** motifs asked for and placed; null where it isn’t scattered */
  readonly motifs: { readonly wanted: number; readonly placed: number } | null;
}

/** The cup split up. All areas, what is left over and what stays bare add up to wall, base and handle. */
export interface PlannedAreas {
  readonly areas: readonly PlannedArea[];
  /** wall below the lip strip that no area covers */
  readonly leftOver: { readonly area: number; readonly region: Region };
  /** cm² of base, and of the handle’s outside, that no area covers */
  readonly bareBase: number;
  readonly bareGrip: number;
  /** cm² of lip strip, and of wall under the handle, that stay bare */
  readonly bareLip: number;
  readonly barePatch: { readonly area: number; readonly region: Region };
}

/** A stretch of wall, mm from where its fade is measured from, without and with what is strewn over the neighbours. */
export interface FadeStretch {
  readonly from: number;
  readonly to: number;
  readonly strewnFrom: number;
  readonly strewnTo: number;
}

/** Where one pot of a fade lies. */
export interface FadeSlice {
  readonly id: AreaId;
  readonly name: string;
  readonly slot: PotSlot;
  readonly region: Region;
  /** cm² of its stretch, and of all it is strewn on */
  readonly area: number;
  readonly strewn: number;
  /** mm of its stretch along the way */
  readonly along: number;
  /** two where the fade goes both ways */
  readonly stretches: readonly FadeStretch[];
}

export type PlannedPot = FadePot & FadeSlice;

/** An area that changes its colour in pots. */
export interface PlannedFade {
  readonly area: AreaId;
  readonly areaName: string;
  /** up, down and from the middle are measured in mm from the foot, the others along the way from where it begins */
  readonly way: FadeWay;
  readonly slices: readonly FadeSlice[];
  readonly laid: (Omit<FadePlan, 'pots'> & { readonly pots: readonly PlannedPot[] }) | null;
  /** why it can't be laid so, and what to change */
  readonly refused: string | null;
  /** hex of what lies under each stop */
  readonly under: readonly string[];
  /** the paint under each stop, by name; null where the coats lay their own */
  readonly paints: readonly (string | null)[];
  /** ΔE00 that a base which fades makes through the glitter; null where it doesn’t fade */
  readonly baseShows: number | null;
}

/** A place of the wall that is laid alike all over: an area, or a pot of one that fades. */
export interface PlannedPlace {
  readonly id: AreaId;
  readonly area: AreaId;
  readonly name: string;
  readonly region: Region;
}

export interface PlannedPart {
  readonly item: ShelfItemId;
  readonly name: string;
  readonly colour: string;
  /** the coarsest, mm; null of a jar that is gone */
  readonly cut: number | null;
  /** as one says it: `0.4 mm`, `0.2–1 mm` */
  readonly cuts: string;
  readonly ml: number;
  readonly grams: number;
  readonly gramsPerMl: number;
  readonly spoonShare: number;
  readonly faceShare: number;
  readonly flakes: number;
  /** the shelf no longer has it */
  readonly missing: boolean;
}

export interface PlannedBlend {
  readonly area: AreaId;
  readonly areaName: string;
  readonly parts: readonly PlannedPart[];
  /** ml and g of one pour */
  readonly ml: number;
  readonly grams: number;
  /** flakes deep as poured, one pass */
  readonly poured: number;
  /** flakes deep that the coats' glues keep, all passes */
  readonly kept: number;
  readonly passes: number;
  /** flakes deep its glue holds a pass; null when all of it sticks */
  readonly hold: number | null;
  /** share left bare after all passes */
  readonly bare: number;
  /** hex of what is under it, and of what is seen from afar */
  readonly under: string;
  readonly seen: string;
  /** D65, of what is seen */
  readonly lab: Lab;
  /** hex over other bases at the same depth */
  readonly seenOver: { readonly white: string; readonly black: string; readonly silver: string };
  /** how the colour comes with each pass */
  readonly sweep: readonly { readonly passes: number; readonly bare: number; readonly seen: string }[];
  readonly spread: Spread;
  /** ml a pour for the cover below, or why no pour reaches it */
  readonly forCover: { readonly share: number; readonly ml: number | null; readonly most: number };
}

export interface PlannedMix {
  readonly resin: string;
  readonly ratio: readonly [number, number];
  readonly film: number;
  readonly fill: number;
  readonly need: number;
  readonly a: number;
  readonly b: number;
  readonly mix: number;
  readonly aGrams: number;
  readonly bGrams: number;
}

export interface PlannedPour {
  readonly area: AreaId;
  readonly areaName: string;
  readonly parts: readonly PlannedPart[];
  readonly ml: number;
  readonly grams: number;
  readonly kept: number;
  /** share of the pour that isn't held and is caught on paper */
  readonly castOff: number;
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
  readonly drops: { readonly ink: string; readonly count: number; readonly load: number; readonly dose: InkDose } | null;
  /** minutes at the bench, and minutes to wait after */
  readonly handsOn: number;
  readonly wait: { readonly minutes: number; readonly until: string };
  readonly cautions: readonly string[];
  /** hex of each area after this coat */
  readonly seen: Readonly<Record<string, string>>;
}

export interface PlanTotals {
  readonly glitterMl: number;
  readonly glitterGrams: number;
  readonly glitterKinds: number;
  readonly glitters: readonly {
    readonly item: ShelfItemId;
    readonly name: string;
    readonly ml: number;
    readonly grams: number;
    readonly gramsPerMl: number;
    readonly left: number | null;
  }[];
  readonly resins: readonly {
    readonly item: ShelfItemId;
    readonly name: string;
    readonly a: number;
    readonly b: number;
    readonly mix: number;
    readonly grams: number;
  }[];
  readonly inks: readonly { readonly item: ShelfItemId; readonly name: string; readonly drops: number; readonly dose: InkDose }[];
  readonly resinMl: number;
  readonly resinGrams: number;
  readonly mixes: number;
  readonly handsOn: number;
  /** minutes from the first touch to cured */
  readonly elapsed: number;
  /** mm of all coats where they are thickest */
  readonly thickness: number;
}

/** A design as numbers: the one thing every screen, card, script and test reads. */
export interface Plan {
  readonly design: DesignId;
  readonly name: string;
  readonly surface: PlannedSurface;
  readonly areas: PlannedAreas;
  /** of areas that don’t fade */
  readonly blends: readonly PlannedBlend[];
  readonly fades: readonly PlannedFade[];
  /** every area, or the pots it fades in, in the order they are laid */
  readonly places: readonly PlannedPlace[];
  readonly coats: readonly PlannedCoat[];
  /** hex of each place, of an area that fades as its middle pot’s, of `left-over` and of `base-bare`, once all coats are on */
  readonly finished: Readonly<Record<string, string>>;
  /** layer by layer, for the picture, by the same keys */
  readonly looks: Readonly<Record<string, Look>>;
  /** hex of the cup as it comes */
  readonly bareWall: string;
  readonly totals: PlanTotals;
  readonly findings: readonly Finding[];
}
