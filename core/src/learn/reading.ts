import * as z from 'zod';
import { cureFactor, GLOVE_LOSS_SHARE, POT_LOSS_ML } from '../resin';
import { keptDepth } from '../glitter';
import type { Belief, Measured } from './belief';
import { keptSlope } from './learn-hold';

const item = z.string().min(1).max(100);
const amount = z.number().min(0).max(10_000);

/** Something that was weighed, counted or waited for, in terms of what it can teach. */
export const readingSchema = z.discriminatedUnion('about', [
  /** glitter on glue: g and flakes deep of each area's pour, and g that stayed of them all */
  z.strictObject({
    about: z.literal('hold'),
    item,
    pours: z
      .array(z.strictObject({ grams: amount, deep: amount }))
      .min(1)
      .max(200),
    kept: amount,
  }),
  /** ml that stayed in the pot it was mixed in */
  z.strictObject({ about: z.literal('pot'), left: amount }),
  /** ml mixed, and ml of it that neither the cup nor the pot has */
  z.strictObject({ about: z.literal('glove'), mixed: amount, lost: z.number().min(-1000).max(10_000) }),
  /** drops, and the ml they were */
  z.strictObject({ about: z.literal('drop'), item, drops: z.number().positive().max(10_000), ml: amount }),
  /** minutes until it had set, at so many °C, where its label says so many at 21 °C */
  z.strictObject({ about: z.literal('cure'), item, minutes: amount, celsius: z.number().min(-20).max(60), label: amount.min(1) }),
]);
export type Reading = z.infer<typeof readingSchema>;
export const abouts = ['hold', 'pot', 'glove', 'drop', 'cure'] as const satisfies readonly Reading['about'][];
export type About = (typeof abouts)[number];

/** What is learnt about: of a jar, or of this maker's hands. Stays the same for as long as readings are kept. */
export const unknownOf = (reading: Reading): string => ('item' in reading ? `${reading.about}/${reading.item}` : reading.about);

/** One standard deviation of each before anything is weighed, as a share of it: how far makers, jars and rooms differ. */
export const usualSpread: Readonly<Record<About, number>> = { hold: 0.25, pot: 0.4, glove: 0.5, drop: 0.25, cure: 0.2 };

/** What this maker's own losses are before anything is weighed: ml, and a share of the mix. */
export const usualLosses = { pot: POT_LOSS_ML, glove: GLOVE_LOSS_SHARE } as const;

/** One standard deviation of a difference of two readings of a scale that shows 0.1 g. */
export const WEIGHED_WITHIN = 0.07;
/** How much the same hands differ from one time to the next, as a share: how glue was brushed, a pot scraped, a bottle held. */
const VARIES = { hold: 0.06, pot: 0.12, drop: 0.04, cure: 0.1 } as const;
/** The same of what a glove takes, in shares of the mix. */
const GLOVE_VARIES = 0.005;

/**
 * What a reading says of its unknown; errors are of the scale and of hands together.
 * Unknowns: flakes deep a glue holds, ml a pot keeps, share a glove takes, ml a drop is, times the label's that a cure takes.
 */
export function measured(reading: Reading): Measured {
  switch (reading.about) {
    case 'hold': {
      const grams = reading.pours.reduce((sum, pour) => sum + pour.grams, 0);
      return {
        observed: reading.kept,
        // The more of a pour stays, the less what stays says of the hold; and the less another hold would change it.
        error: Math.hypot(WEIGHED_WITHIN, VARIES.hold * reading.kept * Math.max(0, 1 - reading.kept / grams)),
        expected: (hold) => {
          let [reads, slope] = [0, 0];
          for (const { grams: of, deep } of reading.pours) {
            if (deep <= 0) continue;
            reads += (of * keptDepth(deep, hold)) / deep;
            slope += (of * keptSlope(deep, hold)) / deep;
          }
          return { reads, slope };
        },
      };
    }
    case 'pot':
      return times(reading.left, 1, VARIES.pot);
    case 'glove':
      return {
        observed: reading.lost,
        error: Math.hypot(2 * WEIGHED_WITHIN, GLOVE_VARIES * reading.mixed),
        expected: (share) => ({ reads: share * reading.mixed, slope: reading.mixed }),
      };
    case 'drop':
      return times(reading.ml, reading.drops, VARIES.drop);
    case 'cure':
      return times(reading.minutes, reading.label * cureFactor(reading.celsius), VARIES.cure);
  }
}

/** ml, or minutes, below which a logarithm says nothing. */
const LEAST = 0.05;

/**
 * Something that is so many times the unknown, off by a share: compared as logarithms, or the small readings, whose errors seem
 * the smallest, would pull more than the large ones.
 */
function times(read: number, one: number, varies: number): Measured {
  const least = Math.max(LEAST, read);
  return {
    observed: Math.log(least),
    error: Math.hypot(WEIGHED_WITHIN / least, varies),
    expected: (value) => ({ reads: Math.log(one * value), slope: 1 / value }),
  };
}

/** What each can be at all: no jar, no hand and no room is beyond, whatever a weighing that somebody stands by says. */
const can: Readonly<Record<About, readonly [least: number, most: number]>> = {
  hold: [0.1, 6],
  pot: [0, 20],
  glove: [0, 0.5],
  drop: [0.005, 0.5],
  cure: [0.2, 5],
};

/** What a plan goes by: four figures, within what can be. */
export const usable = (about: About, value: number): number =>
  Number(Math.min(can[about][1], Math.max(can[about][0], value)).toPrecision(4));

/** What is known of an unknown before anything of it is weighed. @param value what the shelf, or what is usual, says of it */
export const before = (about: About, value: number): Belief => ({ value, spread: usualSpread[about] });
