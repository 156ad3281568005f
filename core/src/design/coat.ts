import * as z from 'zod';
import { areaIdSchema } from '../areas';
import { shelfItemIdSchema } from '../stock';
import { idText } from '../units';

export const coatIdSchema = idText('A coat needs an id.').brand<'CoatId'>();
export type CoatId = z.infer<typeof coatIdSchema>;

/** Where a coat goes: everywhere that is coated, or on chosen areas. */
const onSchema = z.union([z.literal('all'), z.array(areaIdSchema).min(1, 'Choose at least one area for this coat.')], {
  error: 'A coat goes on all areas or on a list of them.',
});
export type CoatedWhere = z.infer<typeof onSchema>;

const shared = { id: coatIdSchema, note: z.string().max(300, 'Keep the note under 300 letters.').default('') };
const film = z.number().min(0.02, 'A film is at least 0.02 mm.').max(3, 'A film over 3 mm is no coat. Lay several.');
const mm = z.number().min(1, 'At least 1 mm.').max(800, 'At most 800 mm.');

export const coatSchemas = {
  prep: z.strictObject({ kind: z.literal('prep'), ...shared }),
  base: z.strictObject({
    kind: z.literal('base'),
    ...shared,
    on: onSchema,
    paint: shelfItemIdSchema,
    passes: z.int().min(1).max(6),
    /** where a fade has base colours of its own, they are laid in place of this paint */
    fading: z.boolean().default(false),
  }),
  glue: z.strictObject({
    kind: z.literal('glue'),
    ...shared,
    on: onSchema,
    glue: shelfItemIdSchema,
    resin: shelfItemIdSchema.nullable(),
  }),
  glitter: z.strictObject({ kind: z.literal('glitter'), ...shared, on: onSchema }),
  press: z.strictObject({ kind: z.literal('press'), ...shared, on: onSchema }),
  seal: z.strictObject({ kind: z.literal('seal'), ...shared, on: onSchema, passes: z.int().min(1).max(4) }),
  resin: z.strictObject({ kind: z.literal('resin'), ...shared, on: onSchema, resin: shelfItemIdSchema, thickness: film }),
  ink: z.strictObject({
    kind: z.literal('ink'),
    ...shared,
    on: onSchema,
    resin: shelfItemIdSchema,
    ink: shelfItemIdSchema,
    thickness: film,
    /** % of the resin's volume */
    load: z.number().min(0, 'A load can’t be negative.').max(25, 'Over 25 % the resin is more ink than resin.'),
  }),
  sand: z.strictObject({ kind: z.literal('sand'), ...shared }),
  decal: z.strictObject({
    kind: z.literal('decal'),
    ...shared,
    name: z.string().trim().min(1, 'Say what the decal shows.').max(60),
    width: mm,
    height: mm,
    /** mm above the foot */
    centre: z.number().min(0, 'The centre is above the foot.').max(600, 'No cup is over 600 mm tall.'),
    /** degrees from the seam to its centre */
    angle: z
      .number()
      .min(0, 'An angle is 0 to 360°, from the seam.')
      .max(360, 'An angle is 0 to 360°, from the seam.')
      .default(180),
  }),
  rest: z.strictObject({
    kind: z.literal('rest'),
    ...shared,
    hours: z.number().min(1, 'At least an hour.').max(1000, 'At most 1000 hours.'),
  }),
} as const;

/** One step of the work, in the order it is done. Films mm, loads % by volume. */
export const coatSchema = z.discriminatedUnion(
  'kind',
  [
    coatSchemas.prep,
    coatSchemas.base,
    coatSchemas.glue,
    coatSchemas.glitter,
    coatSchemas.press,
    coatSchemas.seal,
    coatSchemas.resin,
    coatSchemas.ink,
    coatSchemas.sand,
    coatSchemas.decal,
    coatSchemas.rest,
  ],
  { error: `A coat is one of: ${Object.keys(coatSchemas).join(', ')}.` },
);
export type Coat = z.infer<typeof coatSchema>;
export type CoatKindName = Coat['kind'];
export type CoatOf<Kind extends CoatKindName> = Extract<Coat, { kind: Kind }>;
