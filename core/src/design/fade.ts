import * as z from 'zod';
import { areaIdSchema } from '../areas';
import { shelfItemIdSchema } from '../stock';
import { partsSchema, pouredSchema } from './blend';

/** Which way a fade goes over its area; its first stop lies where it begins. */
export const fadeWays = ['up', 'down', 'middle', 'round', 'spiral'] as const;
export type FadeWay = (typeof fadeWays)[number];

export const MOST_STOPS = 8;
export const MOST_POTS = 24;
/** Stops nearer than this share of the way lie on each other. */
export const STOPS_APART = 0.02;

const stopSchema = z.strictObject({
  /** share of the way, 0 where it begins, 1 where it ends */
  at: z.number().min(0, 'A stop lies on the way: 0 to 100 % of it.').max(1, 'A stop lies on the way: 0 to 100 % of it.'),
  /** proportions, ml */
  parts: partsSchema,
  /** share of the fade's full depth; nothing leaves bare */
  cover: z.number().min(0, 'No stop covers less than nothing.').max(1, 'Full cover is 100 %.').default(1),
  /** the paint under it, where the base fades too */
  base: shelfItemIdSchema.nullable().default(null),
});
export type FadeStop = z.infer<typeof stopSchema>;

/** A pot as it was weighed at a cup that was made: what its jars gave, whatever the stops make of it. */
const weighedPotSchema = z.strictObject({
  /** counted from 0 */
  pot: z.int('Pots are whole.').min(0),
  /** ml of each jar a pour; none where nothing was poured */
  parts: pouredSchema,
});
export type WeighedPot = z.infer<typeof weighedPotSchema>;

/** A gradual change of colour over one area, laid in pots; it takes the place of the area's blend. */
export const fadeSchema = z
  .strictObject({
    area: areaIdSchema,
    way: z.enum(fadeWays, { error: `A fade goes ${fadeWays.join(', ')}.` }),
    /** how often it winds round, on its way along a spiral */
    turns: z.number().min(0.25, 'At least a quarter of a turn.').max(12, 'Twelve turns are the most a spiral winds.').default(2),
    stops: z
      .array(stopSchema)
      .min(2, 'One stop is one colour. A fade needs at least two.')
      .max(MOST_STOPS, `A fade goes through ${MOST_STOPS} stops at most.`),
    pots: z
      .int('Pots are whole.')
      .min(2, 'One pot is one colour: take at least two.')
      .max(MOST_POTS, `More than ${MOST_POTS} pots no hand lays in time.`),
    /** mm that neighbouring pots are strewn over each other */
    overlap: z.number().min(0, 'Pots can’t overlap by less than nothing.').max(60, 'More than 60 mm is no overlap any more.'),
    /** flakes deep at full cover, all passes together */
    depth: z
      .number()
      .min(0.1, 'At a depth of next to nothing no glitter is seen: at least 0.1 flakes.')
      .max(8, 'Deeper than 8 flakes nothing changes any more.'),
    /** pots between are begun with what the one before cast off */
    castOff: z.boolean().default(false),
    /** pots that are laid as they were weighed; the others as the stops say */
    weighed: z.array(weighedPotSchema).max(MOST_POTS, `A fade has ${MOST_POTS} pots at most.`).optional(),
  })
  .check((context) => {
    if (context.issues.length > 0) return;
    for (const { path, sentence } of fadeFaults(context.value))
      context.issues.push({ code: 'custom', input: context.value, path: [...path], message: sentence });
  });
export type Fade = z.infer<typeof fadeSchema>;

/** What is wrong between parts of a fade that are each sound. */
function fadeFaults({
  stops,
  pots,
  weighed = [],
}: Pick<Fade, 'stops' | 'pots' | 'weighed'>): readonly { path: readonly (string | number)[]; sentence: string }[] {
  const wrong = stops.findIndex((stop, i) => i > 0 && stop.at < stops[i - 1].at + STOPS_APART - 1e-9);
  if (wrong > 0)
    return [
      {
        path: ['stops', wrong, 'at'],
        sentence: `Stop ${wrong + 1} must lie after stop ${wrong}, by 2 % of the way at least. Move it on, or swap the two.`,
      },
    ];
  const poured = stops.filter(({ cover }) => cover > 0).length;
  if (poured === 0)
    return [{ path: ['stops', 0, 'cover'], sentence: 'A fade from bare to bare shows nothing. Give one stop some cover.' }];
  if (pots < poured)
    return [{ path: ['pots'], sentence: `Each of the ${poured} stops takes a pot of its own: take at least ${poured}.` }];
  const jars = new Set(stops.flatMap(({ parts }) => parts.map(({ item }) => item)));
  return weighed.flatMap(({ pot, parts }, i) => {
    const fault = (field: 'pot' | 'parts', sentence: string) => [{ path: ['weighed', i, field], sentence }];
    if (pot >= pots) return fault('pot', `There is no pot ${pot + 1} in this fade to be weighed: it has ${pots}.`);
    if (weighed.findIndex((one) => one.pot === pot) < i)
      return fault('pot', `Pot ${pot + 1} was weighed twice: keep one of them.`);
    const strange = parts.some(({ item }) => !jars.has(item));
    return strange ? fault('parts', `Pot ${pot + 1} was weighed with a jar that is in no stop of the fade.`) : [];
  });
}
