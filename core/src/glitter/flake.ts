import * as z from 'zod';
import { hexSchema } from '../hex';

export const glitterKinds = ['solid', 'tinted', 'opal'] as const;
export type GlitterKind = (typeof glitterKinds)[number];

const cutSchema = z.number().min(0.05, 'The finest cut is 0.05 mm.').max(12, 'The coarsest cut is 12 mm.');

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
  cut: cutSchema,
  /** further cuts in the same jar, each with its share of a spoonful; what they leave is of `cut` */
  mixed: z
    .array(z.strictObject({ cut: cutSchema, share: z.number().min(0.01, 'A cut has at least 1 % of the jar.').max(0.99) }), {
      error: 'Write further cuts with their shares, as 0.6 mm 30 %; 1 mm 20 %.',
    })
    .refine((others) => others.length <= 5, 'Six cuts are the most one jar takes.')
    .refine((others) => others.reduce((sum, { share }) => sum + share, 0) < 0.995, 'The shares of the cuts come to over 100 %.')
    .optional(),
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

/** The cuts in a jar, mm, each with its share of a spoonful, which is its share of the face too. */
export const cutsOf = ({ cut, mixed }: Pick<Glitter, 'cut' | 'mixed'>): readonly { cut: number; share: number }[] => [
  { cut, share: (mixed ?? []).reduce((rest, other) => rest - other.share, 1) },
  ...(mixed ?? []),
];

/** From this cut on, mm, flakes are chunky: they need pressing flat and a glue that holds them. */
export const CHUNKY = 0.8;

/** mm: up to this a flake counts as fine. */
export const FINE_CUT = 0.4;

/** mm */
export const coarsestCut = (glitter: Pick<Glitter, 'cut' | 'mixed'>): number =>
  Math.max(...cutsOf(glitter).map(({ cut }) => cut));

/** `0.4 mm`, or `0.2–1 mm` of a jar of mixed cuts. */
export function cutText(glitter: Pick<Glitter, 'cut' | 'mixed'>): string {
  const cuts = cutsOf(glitter).map(({ cut }) => cut);
  return cuts.length === 1 ? `${cuts[0]} mm` : `${Math.min(...cuts)}–${Math.max(...cuts)} mm`;
}

/** Flakes in a ml as poured. */
export const flakesPerMl = (glitter: Glitter): number =>
  cutsOf(glitter).reduce(
    (sum, { cut, share }) => sum + (share * glitter.solidShare * 1000) / (flakeFace({ cut }) * (glitter.thickness / 1000)),
    0,
  );

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
