import * as z from 'zod';
import { coatedHeight, type Cup } from './cup';

const mm = z
  .number({ error: 'Give a height in mm.' })
  .min(0, 'A height is measured from the foot or from the rim, so it can’t be negative.')
  .max(600, 'No cup is over 600 mm tall.');

/**
 * A height that keeps its meaning on another cup: so many mm above the foot, so many mm below where
 * the coats end, or a share of the coated wall. The maker chooses which, edge by edge.
 */
export const levelSchema = z.discriminatedUnion(
  'by',
  [
    z.strictObject({ by: z.literal('foot'), mm }),
    z.strictObject({ by: z.literal('rim'), mm }),
    z.strictObject({
      by: z.literal('share'),
      share: z.number().min(0, 'A share of the wall is 0 to 100 %.').max(1, 'A share of the wall is 0 to 100 %.'),
    }),
  ],
  { error: 'A height is counted by foot, by rim or by share.' },
);
export type Level = z.infer<typeof levelSchema>;
export type LevelBy = Level['by'];

/** Where a level lies on a cup, mm above the foot. Below 0 when the cup is too short for it. */
export function levelHeight(level: Level, cup: Cup): number {
  switch (level.by) {
    case 'foot':
      return level.mm;
    case 'rim':
      return coatedHeight(cup) - level.mm;
    case 'share':
      return level.share * coatedHeight(cup);
  }
}

/** The level at a height, counted the way the maker wants; shares keep a hundredth of a percent. */
export function levelAt(height: number, by: LevelBy, cup: Cup): Level {
  const top = coatedHeight(cup);
  const tenth = (value: number) => Math.round(value * 10) / 10;
  switch (by) {
    case 'foot':
      return { by, mm: Math.max(0, tenth(height)) };
    case 'rim':
      return { by, mm: Math.max(0, tenth(top - height)) };
    case 'share':
      return { by, share: Math.min(1, Math.max(0, Math.round((height / top) * 1e4) / 1e4)) };
  }
}

export const footLevel = (mm: number): Level => ({ by: 'foot', mm });
/** Where the coats end, whatever the cup. */
export const topLevel: Level = { by: 'rim', mm: 0 };
