import * as z from 'zod';
import { outlineFault } from './outline-fault';

/** The most points an outline of one's own may have: past that no cutter or needle bottle follows it. */
export const MOST_POINTS = 1500;

export const plainOutlines = ['spot', 'ring', 'star', 'petal', 'hexagon', 'lozenge', 'drop', 'crescent'] as const;
export type PlainOutline = (typeof plainOutlines)[number];

const pointSchema = z.tuple([z.number().min(-1).max(1), z.number().min(-3.1).max(3.1)]);

const own = z
  .strictObject({
    shape: z.literal('own'),
    name: z.string().trim().min(1, 'Give the outline a name.').max(60, 'Keep the outline’s name under 60 letters.'),
    /** outlines and their holes, closed, in a box of width 1 about 0, y upwards */
    polygons: z
      .array(z.array(z.array(pointSchema).min(4)).min(1).max(60))
      .min(1, 'An outline needs at least one closed line.')
      .max(60),
  })
  .check((context) => {
    if (context.issues.length > 0) return;
    const sentence = outlineFault(context.value.polygons, MOST_POINTS);
    if (sentence) context.issues.push({ code: 'custom', input: context.value, path: ['polygons'], message: sentence });
  });

/** The shape of a motif: one of the plain outlines, or one brought in as an SVG. */
export const outlineSchema = z.discriminatedUnion('shape', [z.strictObject({ shape: z.enum(plainOutlines) }), own], {
  error: `An outline is one of: ${plainOutlines.join(', ')}, or your own.`,
});
export type Outline = z.infer<typeof outlineSchema>;
export type OwnOutline = z.infer<typeof own>;
