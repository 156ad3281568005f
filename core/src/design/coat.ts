import * as z from 'zod';
import { areaIdSchema } from '../areas';
import { hexSchema } from '../hex';
import { outlineSchema } from '../motif';
import { shelfItemIdSchema } from '../stock';
import { idText } from '../units';
import type { LayingWay } from '../wet';

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
const item = shelfItemIdSchema;
/** mm above the foot */
const height = z.number().min(0, 'A height is measured upwards from the foot.').max(600, 'No cup is over 600 mm tall.');
/** degrees from the seam to its centre */
const angle = z
  .number()
  .min(0, 'An angle is 0 to 360°, from the seam.')
  .max(360, 'An angle is 0 to 360°, from the seam.')
  .default(180);
/** how much of the place it covers, % */
const share = z.number().min(1, 'At least 1 %.').max(99, 'At most 99 %: something always shows between.');
/** % of the resin’s volume */
const load = z.number().min(0, 'A load can’t be negative.').max(25, 'Over 25 % the resin is more ink than resin.');
/** The most pots that a coat's load changes over. */
export const MOST_GRADES = 12;
/** The most inks in one pot. */
export const MOST_INKS = 3;
const shows = z.string().trim().min(1, 'Say what it shows.').max(60, 'Keep it under 60 letters.');

/** Heights of the wall, mm above the foot, that a coat ends at; left out, it goes as far as its areas do. */
export const heightsSchema = z
  .strictObject({ from: height, to: height })
  .refine(({ from, to }) => to >= from + 1, 'The upper height is at least 1 mm above the lower one.');
export type CoatHeights = z.infer<typeof heightsSchema>;

const everywhere = <Kind extends string>(kind: Kind) => z.strictObject({ kind: z.literal(kind), ...shared });
const somewhere = <Kind extends string>(kind: Kind) =>
  everywhere(kind).extend({ on: onSchema, between: heightsSchema.optional() });
/** so many alike, evenly round the cup */
const times = z
  .int('Take a whole number of them.')
  .min(1, 'Take one at least; without any, remove the coat.')
  .max(24, 'More than 24 round a cup are a scatter: lay an area of it.');
/** Flat pieces of one kind, the first at a spot of the wall. */
const piece = <Kind extends string>(kind: Kind) =>
  everywhere(kind).extend({ name: shows, width: mm, height: mm, centre: height, angle, times: times.default(1) });
/** every second one cut the other way round */
const mirrored = z.boolean().default(false);

export const baseWays = ['sprayed', 'brushed', 'misted'] as const;

/** How colour is laid into wet resin: lines foot to rim, rings, lines along an area's edge, or drops. */
export const layingWays = ['up', 'round', 'edge', 'drops'] as const satisfies readonly LayingWay[];

interface Inks {
  readonly ink: string;
  readonly also?: readonly { readonly ink: string }[] | undefined;
}
/** another one is another hand, or another bowl of water */
const seed = z.int().min(0).max(999999).default(1);
/** The most drops that are counted out for one coat on a surface, and the most ml of thinned ink that a film holds. */
export const MOST_SURFACE_DROPS = 60;
export const MOST_CRACKLE_ML = 20;
/** counted for the whole coat */
const drops = z
  .int('Count whole drops.')
  .min(1, 'One drop at least; without any, take the colour out.')
  .max(MOST_SURFACE_DROPS, `Over ${MOST_SURFACE_DROPS} drops nobody counts right: take fewer areas at a time.`);
/** The most tones or colours that are laid straight on a surface at once. */
export const MOST_TONES = 4;
const alsoDropped = z
  .array(z.strictObject({ ink: item, drops }))
  .max(MOST_TONES - 1, `${MOST_TONES} colours are the most: more run into one.`)
  .optional();
const eachInkOnce = ({ ink, also = [] }: Inks): boolean => new Set([ink, ...also.map((one) => one.ink)]).size === 1 + also.length;
const twice = { path: ['also'], message: 'Each ink is there once. Give it more drops, or take another.' };

export const coatSchemas = {
  prep: everywhere('prep'),
  base: somewhere('base').extend({
    paint: item,
    passes: z.int().min(1).max(6),
    way: z.enum(baseWays, { error: 'Paint is sprayed, brushed or misted.' }).default('sprayed'),
    /** where a fade has base colours of its own, they are laid in place of this paint */
    fading: z.boolean().default(false),
  }),
  pearl: somewhere('pearl').extend({ ink: item, glue: item, passes: z.int().min(1).max(4) }),
  mask: somewhere('mask'),
  unmask: somewhere('unmask'),
  glue: somewhere('glue').extend({ glue: item, resin: item.nullable() }),
  glitter: somewhere('glitter'),
  sprinkle: somewhere('sprinkle').extend({
    glitter: item,
    /** flakes a cm² */
    flakes: z.number().min(0.1, 'At least 0.1 flakes a cm².').max(2000, 'Over 2000 flakes a cm² is a pour: give the area a mix.'),
  }),
  buff: somewhere('buff').extend({ ink: item }),
  press: somewhere('press'),
  seal: somewhere('seal').extend({ passes: z.int().min(1).max(4) }),
  resin: somewhere('resin').extend({ resin: item, thickness: film }),
  ink: somewhere('ink')
    .extend({
      resin: item,
      ink: item,
      thickness: film,
      load,
      /** further inks in the same pot */
      also: z
        .array(z.strictObject({ ink: item, load, upper: load.optional() }))
        .max(MOST_INKS - 1, `${MOST_INKS} inks in one pot are the most: more is mud.`)
        .optional(),
      /** pots that the load changes in, on the way up; left out, all of it is one pot */
      pots: z
        .int('Pots are whole.')
        .min(2, 'One pot is one load: take at least two.')
        .max(MOST_GRADES, `More than ${MOST_GRADES} pots no hand lays while they are wet.`)
        .optional(),
      /** load at the upper end; left out, the same as at the lower */
      upper: load.optional(),
    })
    .refine(eachInkOnce, twice),
  strings: everywhere('strings')
    .extend({
      on: onSchema,
      way: z.enum(layingWays, { error: 'Colour is laid foot to rim, in rings, along an edge or in drops.' }),
      ink: item,
      load,
      /** further inks, each in a pot of its own, laid by turns */
      also: z
        .array(z.strictObject({ ink: item, load }))
        .max(MOST_INKS - 1, `${MOST_INKS} pots of colour are the most that hands lay before the film thickens.`)
        .optional(),
      /** of the resin under it, held back for all of them together */
      ml: z.number().min(0.5, 'Hold back at least 0.5 ml: less stays in the pot.').max(30, 'Over 30 ml is a coat of its own.'),
      /** lines or drops, of all pots together */
      count: z.int('Take a whole number of them.').min(1, 'Lay one at least.').max(120, 'Over 120 no hand lays in time.'),
      /** mm of a line as it leaves the pot */
      width: z.number().min(1, 'No line is under 1 mm wide.').max(30, 'A line over 30 mm wide is poured.'),
      /** heights of the wall they keep between; null over both edges */
      reach: heightsSchema.nullable().default(null),
      /** minutes since mixing */
      rest: z.number().min(0, 'It can’t be laid before it is mixed.').max(120, 'After two hours no resin runs.'),
      /** degrees to the right of straight up */
      slope: z.number().min(-75, 'At most 75° to the left.').max(75, 'At most 75° to the right.').default(0),
      /** mm to either side */
      wander: z.number().min(0, 'It wanders by 0 mm or more.').max(60, 'Over 60 mm it is another line.').default(4),
      /** the area along whose upper edge lines are laid; of no other way */
      area: areaIdSchema.nullable().default(null),
      /** degrees that the rim lies lower than the foot while it turns */
      lean: z.number().min(-15, 'At most 15°: more, and it runs off.').max(15, 'At most 15°: more, and it runs off.').default(0),
      /** warm air passed over it once it is laid, towards a side: degrees from straight up, to the right */
      air: z
        .strictObject({
          seconds: z.number().min(1, 'A second at least.').max(300, 'Five minutes of warm air boil bubbles into it.'),
          towards: z.number().min(-180, 'From −180 to 180°, 0 being up.').max(180, 'From −180 to 180°, 0 being up.'),
        })
        .nullable()
        .default(null),
      seed,
    })
    .refine(eachInkOnce, twice)
    .refine(({ count, also = [] }) => count > also.length, {
      path: ['count'],
      message: 'Lay at least one of each pot: more lines or drops, or fewer pots.',
    }),
  dab: somewhere('dab').extend({ ink: item, share, seed }),
  grain: somewhere('grain')
    .extend({
      ink: item,
      drops,
      /** further tones, beside each other in this order */
      also: alsoDropped,
      share,
      along: z.enum(['up', 'round'], { error: 'Grain is drawn upwards or round the cup.' }),
      strokes: z.enum(['long', 'short', 'both'], { error: 'Strokes are long, short or both.' }),
      width: z.number().min(0.4, 'No brush leaves streaks under 0.4 mm.').max(12, 'Over 12 mm it is no grain.'),
      knots: z.int('Take a whole number of knots.').min(0, 'No knots is 0.').max(16, 'Over 16 knots it is no plank.'),
      seed,
    })
    .refine(eachInkOnce, twice),
  crackle: somewhere('crackle').extend({
    ink: item,
    /** of thinned ink */
    ml: z
      .number()
      .min(0.2, 'Under 0.2 ml nothing rises.')
      .max(MOST_CRACKLE_ML, `Over ${MOST_CRACKLE_ML} ml runs out of the film.`),
    /** parts of thinner to one of ink */
    thinned: z.number().min(0, 'No thinner is 0.').max(40, 'So thin it leaves no colour: at most 40 parts.'),
    cell: z.number().min(3, 'No film folds finer than 3 mm.').max(60, 'Folds are at most 60 mm apart.'),
    seed,
  }),
  floated: somewhere('floated')
    .extend({
      ink: item,
      drops,
      /** further colours, by turns in the order in which they fall */
      also: alsoDropped,
      across: z.number().min(5, 'A drop spreads at least 5 mm.').max(150, 'No drop spreads over 150 mm.'),
      lands: z.number().min(5, 'At least 5 %.').max(100, 'No more lands than floats.'),
      seed,
    })
    .refine(eachInkOnce, twice),
  sand: everywhere('sand'),
  rim: everywhere('rim'),
  strip: everywhere('strip').extend({
    film: item,
    width: mm,
    centre: height,
    /** as it is cut, mm */
    length: z.number().min(1, 'At least 1 mm.').max(3000, 'A strip over 3 m goes round no cup.'),
  }),
  outline: everywhere('outline').extend({
    on: onSchema,
    film: item,
    /** mm that the film has to cover, and how wide it is cut */
    gap: z.number().min(0, 'A gap can’t be negative.').max(20, 'Over 20 mm is an area of its own.'),
    width: z.number().min(0.2, 'No film is cut under 0.2 mm.').max(30, 'At most 30 mm.'),
  }),
  paper: somewhere('paper').extend({ name: shows, colour: hexSchema, share }),
  foil: somewhere('foil').extend({ film: item, share }),
  paste: somewhere('paste').extend({
    paint: item,
    share,
    /** mm it stands up */
    raised: z.number().min(0.1, 'At least 0.1 mm.').max(3, 'Over 3 mm it cracks. Lay it twice.'),
  }),
  decal: piece('decal').extend({
    /** what it is cut from, or printed on; null where nobody says */
    film: item.nullable().default(null),
    /** a shape that fills its width and height; null of the whole sheet */
    outline: outlineSchema.nullable().default(null),
    mirrored,
  }),
  sheet: piece('sheet').extend({ film: item, mirrored }),
  tag: piece('tag').extend({ raised: z.number().min(0.1, 'At least 0.1 mm.').max(10, 'At most 10 mm.') }),
  rest: everywhere('rest').extend({ hours: z.number().min(1, 'At least an hour.').max(1000, 'At most 1000 hours.') }),
} as const;

/** One step of the work, in the order it is done. Films mm, loads % by volume. */
export const coatSchema = z.discriminatedUnion(
  'kind',
  [
    coatSchemas.prep,
    coatSchemas.base,
    coatSchemas.pearl,
    coatSchemas.mask,
    coatSchemas.unmask,
    coatSchemas.glue,
    coatSchemas.glitter,
    coatSchemas.sprinkle,
    coatSchemas.buff,
    coatSchemas.press,
    coatSchemas.seal,
    coatSchemas.resin,
    coatSchemas.ink,
    coatSchemas.strings,
    coatSchemas.dab,
    coatSchemas.grain,
    coatSchemas.crackle,
    coatSchemas.floated,
    coatSchemas.sand,
    coatSchemas.rim,
    coatSchemas.strip,
    coatSchemas.outline,
    coatSchemas.paper,
    coatSchemas.foil,
    coatSchemas.paste,
    coatSchemas.decal,
    coatSchemas.sheet,
    coatSchemas.tag,
    coatSchemas.rest,
  ],
  { error: `A coat is one of: ${Object.keys(coatSchemas).join(', ')}.` },
);
export type Coat = z.infer<typeof coatSchema>;
export type CoatKindName = Coat['kind'];
export type CoatOf<Kind extends CoatKindName> = Extract<Coat, { kind: Kind }>;

/** Whether a coat is of resin that is spread, clear or tinted: what closes over all below it. */
export const isFilm = (coat: Coat): coat is CoatOf<'resin' | 'ink'> => coat.kind === 'resin' || coat.kind === 'ink';
