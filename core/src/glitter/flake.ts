import * as z from 'zod';
import { hexSchema } from '../colour';

export const glitterKinds = ['solid', 'tinted', 'opal'] as const;
export type GlitterKind = (typeof glitterKinds)[number];

/** A glitter's flakes. Cut mm across flats, thickness µm, density g/ml of the flake itself. */
export const glitterSchema = z.strictObject({
  colour: hexSchema,
  kind: z.enum(glitterKinds, { error: 'A glitter is solid, tinted or opal.' }),
  opacity: z.number().min(0.01, 'Opacity is at least 1 %.').max(1, 'Opacity is at most 100 %.'),
  thickness: z.number().min(5, 'Flakes are at least 5 µm thick.').max(500, 'Flakes are at most 500 µm thick.'),
  solidShare: z
    .number()
    .min(0.02, 'At least 2 % of a spoonful is flake.')
    .max(0.8, 'At most 80 % of a spoonful is flake; the rest is air.'),
  cut: z.number().min(0.05, 'The finest cut is 0.05 mm.').max(12, 'The coarsest cut is 12 mm.'),
  density: z.number().min(0.5, 'Flakes weigh at least 0.5 g/ml.').max(8, 'Flakes weigh at most 8 g/ml.'),
});
export type Glitter = z.infer<typeof glitterSchema>;

/** So many ml of one glitter. */
export interface Part {
  readonly glitter: Glitter;
  readonly ml: number;
}

/** cm² of flake face in a ml as poured: `solidShare·10000/thickness`. */
export const facePerMl = (glitter: Glitter): number => (glitter.solidShare * 10000) / glitter.thickness;

/** mm² that one flake, a hexagon `cut` mm across flats, turns to you lying flat. */
export const flakeFace = (glitter: Pick<Glitter, 'cut'>): number => (Math.sqrt(3) / 2) * glitter.cut ** 2;

/** Flakes in a ml as poured. */
export function flakesPerMl(glitter: Glitter): number {
  return (glitter.solidShare * 1000) / (flakeFace(glitter) * (glitter.thickness / 1000));
}

/** g a ml weighs as poured, air included. */
export const gramsPerMl = (glitter: Glitter): number => glitter.solidShare * glitter.density;

/**
 * Starting values by cut for polyester, 1.38 g/ml; a data sheet or a weighed spoon is better.
 * @param cut mm
 */
export function typicalFlake(cut: number): Pick<Glitter, 'thickness' | 'solidShare' | 'density'> {
  const table = [
    { upTo: 0.3, thickness: 40, solidShare: 0.28 },
    { upTo: 0.8, thickness: 50, solidShare: 0.3 },
    { upTo: 1.75, thickness: 75, solidShare: 0.3 },
    { upTo: Infinity, thickness: 100, solidShare: 0.26 },
  ];
  const { thickness, solidShare } = table.find((row) => cut < row.upTo) ?? table[3];
  return { thickness, solidShare, density: 1.38 };
}
