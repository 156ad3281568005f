import type { PlannedPart, PlannedPour } from '../coats';
import { tidy } from '../units';
import type { PlannedFade } from './planned-fade';

/**
 * What jars give for a pour: a pot of a fade may be begun with cast-off, which no jar gives again.
 * @param cups that the pour is for, each of which casts off as much
 */
export function drawnParts({ area, parts }: PlannedPour, fades: readonly PlannedFade[], cups = 1): readonly PlannedPart[] {
  const pot = fades.flatMap(({ laid }) => laid?.pots ?? []).find(({ id }) => id === area);
  if (!pot || pot.reused.length === 0) return parts;
  return parts.map((part) => {
    const again = pot.reused.reduce((sum, { item, ml }) => sum + (item === part.item ? ml : 0), 0);
    const ml = tidy(Math.max(0, part.ml - cups * again));
    return { ...part, ml, grams: ml * part.gramsPerMl };
  });
}
