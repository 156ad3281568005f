import { bandRegion, leftOf, wallMeasure } from '../regions';
import { coatedHeight, enclosedVolume, gripArea, heightOf, undersideArea, wallArea, type Cup } from '../vessel';
import { handlePatch } from './split-cup';

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

export function surfaceOf(cup: Cup): PlannedSurface {
  const { stations } = cup;
  const [base, grip] = [undersideArea(cup), gripArea(cup)];
  const coated = bandRegion(0, coatedHeight(cup));
  return {
    height: heightOf(cup),
    coatedHeight: coatedHeight(cup),
    footCircumference: stations[0].circumference,
    rimCircumference: stations[stations.length - 1].circumference,
    wall: wallArea(stations),
    base,
    grip,
    coatable: wallMeasure(stations).areaOf(leftOf(coated, [handlePatch(cup)])) + base + grip,
    volume: enclosedVolume(stations),
  };
}
