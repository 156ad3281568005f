import type { CoatId, CoatKindName } from '../design';
import type { Plan } from '../plan';

/** One coat as it lies at one place of the wall, cut through. */
export interface SectionLayer {
  readonly coat: CoatId;
  readonly number: number;
  readonly kind: CoatKindName;
  readonly title: string;
  /** mm; 0 of what adds colour and no thickness that counts */
  readonly mm: number;
  /** hex of what is seen once it is on */
  readonly seen: string;
  /** whether it changed what is seen */
  readonly tints: boolean;
}

/** All coats at one place, the wall’s first. */
export interface Section {
  readonly layers: readonly SectionLayer[];
  /** mm of all */
  readonly thickness: number;
}

/** Cuts the coats through at a place; what leaves nothing there, like sanding or a mask that was pulled, is no layer. */
export function sectionOf(plan: Plan, place: string): Section {
  let [under, colour] = [0, plan.bareWall];
  const layers = plan.coats.flatMap((coat, index): readonly SectionLayer[] => {
    const [mm, seen] = [(coat.thick[place] ?? under) - under, coat.seen[place] ?? colour];
    // Through gloss, clear resin too changes what is seen; it is no tint for that.
    const tints = seen !== colour && coat.kind !== 'resin';
    [under, colour] = [under + mm, seen];
    if (mm <= 0 && !tints) return [];
    return [{ coat: coat.id, number: index + 1, kind: coat.kind, title: coat.title, mm, seen, tints }];
  });
  return { layers, thickness: under };
}
