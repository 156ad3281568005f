import * as z from 'zod';
import { hexSchema } from '../hex';
import { finishes, glitterSchema } from '../glitter';
import { idText } from '../units';
import { inkSortNames, inkSorts } from '../ink';
import { bases } from './certainty';
import { inkBases } from './ink-certainty';

export const shelfItemIdSchema = idText('An item needs an id.').brand<'ShelfItemId'>();
export type ShelfItemId = z.infer<typeof shelfItemIdSchema>;

const shared = {
  id: shelfItemIdSchema,
  name: z.string().trim().min(1, 'Give it a name, as on the jar.').max(80, 'Keep the name under 80 letters.'),
  note: z.string().max(500, 'Keep the note under 500 letters.').default(''),
  /** ml left, or null when nobody keeps count */
  left: z
    .number()
    .min(0, 'Less than nothing can’t be left.')
    .max(100000, 'That is more than any shelf holds.')
    .nullable()
    .default(null),
  /** what a full one cost, and the ml in it; null when not known */
  paid: z.number().min(0, 'A price can’t be negative.').max(100000, 'Check the price.').nullable().default(null),
  full: z
    .number()
    .positive('A full one holds more than nothing.')
    .max(100000, 'That is more than any jar holds.')
    .nullable()
    .default(null),
  opened: z.iso.date('Write the date as 2026-11-25.').nullable().default(null),
  /** put there by the program with what is usual for its kind, until the maker makes it their own; absent on all others */
  typical: z.literal(true).optional(),
  lot: z.string().trim().max(60, 'Keep the lot under 60 letters.').default(''),
};

const minutes = z.number().min(0, 'Minutes can’t be negative.').max(20000, 'That is longer than two weeks. Check it.');

const glitterItem = z.strictObject({
  kind: z.literal('glitter'),
  ...shared,
  finish: z.enum(finishes),
  flake: glitterSchema,
  /** what its flake data rests on */
  basis: z.enum(bases).default('typical'),
});

const sureness = z.strictObject({
  /** one standard deviation: ΔE00 of its colour, and of how much a drop colours, as a share of it */
  colour: z.number().min(0).max(60),
  strength: z.number().min(0).max(3),
});

/** What the weighings of this workshop taught of it. */
const learntSchema = z.strictObject({
  /** what was known before: of a glue its hold, of an ink its drop, of a resin its pace */
  before: z.number().positive(),
  /** one standard deviation of what is known now, as a share of it; and how many weighings it is from */
  spread: z.number().positive().max(3),
  from: z.int().min(1),
});

const inkItem = z
  .strictObject({
    kind: z.literal('ink'),
    ...shared,
    type: z.enum(['dye', 'pigment', 'pearl'], { error: 'An ink is a dye, a pigment or a pearl.' }),
    /** what it is sold as; left out where it is as usual for its type */
    sort: z.enum(inkSortNames, { error: `An ink is a ${inkSortNames.join(', a ')}.` }).optional(),
    /** whether alcohol or another solvent is in it; left out where it is as usual for its sort */
    solvent: z.boolean().optional(),
    /** what its colour and strength rest on */
    basis: z.enum(inkBases).default('typical'),
    /** how sure a dab made them; left out where none did */
    sure: sureness.optional(),
    colour: hexSchema,
    hiding: z.number().min(0.01, 'At least 1 %.').max(0.99, 'At most 99 %.'),
    referenceLoad: z.number().min(0.01, 'Above 0 %.').max(20, 'At most 20 %.'),
    referenceFilm: z.number().min(0.05, 'At least 0.05 mm.').max(2, 'At most 2 mm.'),
    dropMl: z.number().min(0.005, 'A drop is at least 0.005 ml.').max(0.5, 'A drop is at most 0.5 ml.'),
    learnt: learntSchema.optional(),
  })
  .refine(({ sort, type }) => sort === undefined || inkSorts[sort].type === type, {
    path: ['sort'],
    message: 'This sort takes light another way than its type says. Choose the sort again.',
  });

const paintItem = z.strictObject({ kind: z.literal('paint'), ...shared, colour: hexSchema, dryMinutes: minutes });

const part = z.number().positive('A part is above zero.').max(100, 'A part is at most 100.');
export const measuredBy = ['volume', 'weight'] as const;
const resinItem = z.strictObject({
  kind: z.literal('resin'),
  ...shared,
  /** A to B, as the label has it */
  ratio: z.tuple([part, part]),
  ratioBy: z.enum(measuredBy, { error: 'A ratio is by volume or by weight.' }).default('volume'),
  /** g/ml of A and of B */
  density: z.tuple([z.number().min(0.5).max(3), z.number().min(0.5).max(3)]).default([1.1, 1]),
  /** mPa·s, freshly mixed at 21 °C */
  viscosity: z.number().min(50, 'Resin is thicker than 50 mPa·s.').max(20000, 'Over 20,000 mPa·s nothing spreads.').default(800),
  /** minutes at 21 °C */
  potLife: minutes,
  tackFrom: minutes,
  tackUntil: minutes,
  sandAfter: minutes,
  /** times as long as its label says, as it sets in this workshop; left out where it sets as its label says */
  pace: z.number().min(0.2, 'No resin is five times as quick.').max(5, 'No resin takes five times as long.').optional(),
  learnt: learntSchema.optional(),
  /** months it can be relied on once opened, if its label says no other */
  keeps: z.number().min(1, 'It keeps at least a month.').max(120, 'Nothing keeps over ten years.').default(12),
});

export const glueWays = ['resin wipe', 'tacky coat', 'brush-on', 'spray adhesive', 'clear spray', 'tape', 'drawn'] as const;
export type GlueWay = (typeof glueWays)[number];

const glueItem = z.strictObject({
  kind: z.literal('glue'),
  ...shared,
  way: z.enum(glueWays),
  /** flakes deep one pass holds */
  hold: z.number().min(0.1, 'A glue holds at least 0.1 flakes deep.').max(6, 'No glue holds over 6 flakes deep.'),
  /** how long it takes glitter, minutes; null where it stays sticky */
  open: z.tuple([minutes, minutes]).nullable(),
  dryMinutes: minutes,
  learnt: learntSchema.optional(),
});

export const filmTypes = ['clear', 'opaque', 'printed', 'metallic', 'layered'] as const;

/** Sheets and strips to cut decals, windows and bands from; `left` and `full` count sheets, lengths are mm. */
const filmItem = z.strictObject({
  kind: z.literal('film'),
  ...shared,
  type: z.enum(filmTypes, { error: 'A film is clear, opaque, printed, metallic or layered.' }),
  colour: hexSchema,
  width: z.number().min(1, 'A sheet is at least 1 mm wide.').max(3000, 'A sheet is at most 3 m wide.'),
  length: z.number().min(1, 'A sheet is at least 1 mm long.').max(100000, 'A roll is at most 100 m long.'),
  /** µm */
  thickness: z.number().min(5, 'A film is at least 5 µm thick.').max(2000, 'A film is at most 2 mm thick.'),
});

/** Anything on the shelf that a design can use. Volumes ml, times minutes at 21 °C. */
export const shelfItemSchema = z.discriminatedUnion('kind', [glitterItem, inkItem, paintItem, resinItem, glueItem, filmItem], {
  error: 'A shelf item is a glitter, ink, paint, resin, glue or film.',
});
export type ShelfItem = z.infer<typeof shelfItemSchema>;
export type ShelfKind = ShelfItem['kind'];
export type ItemOf<Kind extends ShelfKind> = Extract<ShelfItem, { kind: Kind }>;

/** Minutes at 21 °C in which a resin really sets: its label's, at the pace this workshop found it to have. */
export function settingOf({ tackFrom, tackUntil, sandAfter, pace = 1 }: ItemOf<'resin'>): {
  readonly tackFrom: number;
  readonly tackUntil: number;
  readonly sandAfter: number;
} {
  return { tackFrom: pace * tackFrom, tackUntil: pace * tackUntil, sandAfter: pace * sandAfter };
}

/** What an item is counted in. */
export const countedIn = ({ kind }: Pick<ShelfItem, 'kind'>): 'ml' | 'sheets' => (kind === 'film' ? 'sheets' : 'ml');

/** What a ml (of a film, a sheet) of an item cost; null when its price or size isn't known. */
export const costPerMl = ({ paid, full }: ShelfItem): number | null => (paid === null || full === null ? null : paid / full);

/** The item a design names, when it is still there and of the kind that is wanted. */
export function itemOf<Kind extends ShelfKind>(shelf: readonly ShelfItem[], id: string, kind: Kind): ItemOf<Kind> | undefined {
  return shelf.find((item): item is ItemOf<Kind> => item.id === id && item.kind === kind);
}
