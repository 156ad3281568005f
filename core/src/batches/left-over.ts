import type { PlannedMix } from '../coats';
import type { PlannedArea } from '../layout';
import { areaText, countText, type Units } from '../units';

/** ml under which it isn't worth a thought: it stays on the stick. */
const STICK = 0.3;
/** mm of a tinted coat, and of a dab to judge a colour by; cm² of the dab. */
const TINTED = 0.35;
const DAB = { film: 0.35, area: 4 } as const;

/** What of a mix isn't wanted, ml, and what else it would do. */
export interface LeftOverMix {
  readonly ml: number;
  readonly would: string;
}

/** Null where next to nothing is over, what pot and glove keep not counted: that is gone. */
export function leftOverOf(
  { mix, need }: Pick<PlannedMix, 'mix' | 'need'>,
  areas: readonly Pick<PlannedArea, 'name' | 'area'>[],
  units: Units,
): LeftOverMix | null {
  const ml = mix - need;
  if (ml < STICK) return null;
  const [largest] = areas.filter(({ area }) => area > 0 && mlOf(area, TINTED) <= ml).sort((one, other) => other.area - one.area);
  const dabs = Math.floor(ml / mlOf(DAB.area, DAB.film));
  const onDabs = `${countText(dabs, 'test dab')} of 2 × 2 cm`;
  const onArea = largest && `a tinted coat of 0.35 mm on ${largest.name} (${areaText(largest.area, units)})`;
  return { ml, would: onArea ? `${onArea}, or ${onDabs}` : onDabs };
}

const mlOf = (area: number, film: number): number => (area * film) / 10;
