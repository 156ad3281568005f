import type { Plan } from '@aurantia/core';

/** An area's colour for a small swatch; of one that fades, its pots in a row. CSS for a background. */
export function areaSwatch({ fades, finished }: Pick<Plan, 'fades' | 'finished'>, area: string): string {
  const slices = fades.find((fade) => fade.area === area)?.slices ?? [];
  if (slices.length < 2) return finished[area] ?? '#ffffff';
  const stops = slices.map(({ id, slot }) => `${finished[id]} ${(100 * slot.from).toFixed(1)}% ${(100 * slot.to).toFixed(1)}%`);
  return `linear-gradient(to right, ${stops.join(', ')})`;
}
