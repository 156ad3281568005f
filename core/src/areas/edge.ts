import * as z from 'zod';
import { onGrid, type WallPoint } from '../regions';
import { levelHeight, levelSchema, type Cup, type Level } from '../vessel';

export const edgeLines = ['zigzag', 'scallop', 'wave'] as const;
export type EdgeLine = (typeof edgeLines)[number];

/** Teeth along an edge: a whole number of them, so that the edge meets itself at the seam. */
const teethSchema = z.strictObject({
  line: z.enum(edgeLines, { error: `An edge is cut as one of: ${edgeLines.join(', ')}.` }),
  count: z
    .int('Teeth come whole, so that the edge meets itself at the seam.')
    .min(1, 'At least one tooth.')
    .max(200, '200 teeth are the most; smaller ones can’t be cut.'),
  /** mm from valley to tip */
  depth: z.number().min(0.5, 'Teeth under 0.5 mm can’t be cut.').max(150, 'Teeth over 150 mm are no edge.'),
  /** degrees the first tip is turned from the seam */
  shift: z.number().min(0, 'A shift is 0 to 360°.').max(360, 'A shift is 0 to 360°.').default(0),
});
export type Teeth = z.infer<typeof teethSchema>;

/** Where a band begins or ends: a height, plain or with teeth half above it and half below. */
export const edgeSchema = z.strictObject({ level: levelSchema, teeth: teethSchema.nullable().default(null) });
export type Edge = z.infer<typeof edgeSchema>;

export const plainEdge = (level: Level): Edge => ({ level, teeth: null });

/** The same seen in a mirror: its tips as far from the seam, the other way. */
export function edgeMirrored({ level, teeth }: Edge): Edge {
  if (!teeth) return { level, teeth };
  const shift = teeth.shift % (360 / teeth.count);
  return { level, teeth: { ...teeth, shift: shift === 0 ? 0 : 360 / teeth.count - shift } };
}

const SAMPLES = 24;

/** The edge over one turn, from the seam to the seam. */
export function edgeLine(edge: Edge, cup: Cup): readonly WallPoint[] {
  const level = levelHeight(edge.level, cup);
  const { teeth } = edge;
  if (!teeth) return [at(0, level), at(360, level)];
  const tooth = 360 / teeth.count;
  const steps = teeth.line === 'zigzag' ? 2 : SAMPLES;
  const shift = ((teeth.shift % tooth) + tooth) % tooth;
  const inner = Array.from({ length: teeth.count * steps + steps }, (_, i) => (i * tooth) / steps + shift - tooth).filter(
    (angle) => angle > 1e-6 && angle < 360 - 1e-6,
  );
  const rise = (angle: number) => at(angle, level + teeth.depth * toothAt(teeth.line, (angle - shift) / tooth));
  // Both ends of the turn are one point of the cup.
  const seam = rise(0)[1];
  return [[0, seam], ...inner.map(rise), [360, seam]];
}

/** Height of a line within one tooth, −½ at the valley and ½ at the tip, which is at 0 and 1. */
function toothAt(line: EdgeLine, turns: number): number {
  const share = turns - Math.floor(turns);
  switch (line) {
    case 'zigzag':
      return Math.abs(share - 0.5) * 2 - 0.5;
    case 'scallop':
      return Math.abs(Math.cos(Math.PI * share)) - 0.5;
    case 'wave':
      return Math.cos(2 * Math.PI * share) / 2;
  }
}

const at = (angle: number, height: number): WallPoint => [onGrid(angle), onGrid(height)];

/** How far an edge reaches below and above its level, mm. */
export const reachOfEdge = (edge: Edge): number => (edge.teeth ? edge.teeth.depth / 2 : 0);

/**
 * The first angle at which a line isn't above another; null when it is all round. Both are walked once, side by side:
 * asking each point of one for its height on the other would take the product of their points.
 */
export function whereLinesMeet(lower: readonly WallPoint[], upper: readonly WallPoint[]): number | null {
  let [l, u] = [1, 1];
  const angles = [...lower, ...upper].map(([angle]) => angle).sort((a, b) => a - b);
  for (const angle of angles) {
    while (l < lower.length - 1 && lower[l][0] < angle) l += 1;
    while (u < upper.length - 1 && upper[u][0] < angle) u += 1;
    if (onPiece(upper[u - 1], upper[u], angle) <= onPiece(lower[l - 1], lower[l], angle)) return angle;
  }
  return null;
}

const onPiece = ([a0, h0]: WallPoint, [a1, h1]: WallPoint, angle: number): number =>
  a1 === a0 ? h1 : h0 + ((angle - a0) / (a1 - a0)) * (h1 - h0);
