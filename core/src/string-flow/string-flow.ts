import type { CoatId, Design, Workshop } from '../design';
import { stillAfter, wetColours, wetMeasures, type WetMeasures, type WetWish } from '../wet';
import { cellOwners, flowPicture, type FlowPicture } from './flow-picture';
import { stringsStep } from './strings-step';

/** How the strings of a coat stand at one moment. */
export interface FlowMoment {
  /** minutes since they were laid */
  readonly minutes: number;
  readonly measures: WetMeasures;
  readonly picture: FlowPicture;
}

/** Strings as they run, as far as they are worked out. */
export interface StringFlow {
  readonly moments: readonly FlowMoment[];
  /** 0 to 1, and whether that is all */
  readonly progress: number;
  readonly over: boolean;
}

/** Minutes after laying at which one looks. */
const LOOKS = [0, 2, 5, 12, 20] as const;

/** The moments that are shown: what one would look at, and when nothing moves any more. */
const momentsOf = (wish: WetWish): readonly number[] => {
  const still = Math.round(stillAfter(wish.drive));
  return [...LOOKS.filter((minutes) => minutes < still), still];
};

/** How the strings of a coat run, told again and again until nothing moves; nothing of a coat that has none. */
export function* stringFlow(design: Design, workshop: Workshop, id: CoatId): Generator<StringFlow, StringFlow> {
  const found = stringsStep(design, workshop, id);
  if (!found) return { moments: [], progress: 1, over: true };
  const { wish, coat } = found;
  const moments: FlowMoment[] = [];
  let owners: Uint16Array | null = null;
  for (const { share, wet } of wetColours(wish, momentsOf(wish))) {
    if (wet) {
      owners ??= cellOwners(found, wet.grid);
      moments.push({ minutes: wet.minutes, measures: wetMeasures(wet, coat.reach), picture: flowPicture(wet, found, owners) });
    }
    yield { moments, progress: share, over: false };
  }
  return { moments, progress: 1, over: true };
}
