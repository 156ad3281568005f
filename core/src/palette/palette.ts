import * as z from 'zod';
import { hexSchema } from '../hex';
import { shelfItemIdSchema } from '../stock';
import { idText } from '../units';

export const paletteIdSchema = idText('A palette needs an id.').brand<'PaletteId'>();
export type PaletteId = z.infer<typeof paletteIdSchema>;

/** What a colour is mixed of. Jars keep the name they had, so that it can be read when one is gone. Amounts ml. */
const mixSchema = z.strictObject({
  parts: z
    .array(
      z.strictObject({
        item: shelfItemIdSchema,
        name: z.string().max(80),
        ml: z.number().positive('An amount is above zero.').max(500, 'That is more than any cup takes.'),
      }),
    )
    .min(1, 'A mix of nothing has no colour.')
    .max(15, 'Fifteen glitters are the most a mix takes.'),
  /** hex it is predicted to have, and how far that is from the colour wanted, ΔE00 */
  colour: hexSchema,
  difference: z.number().min(0).max(200),
});
export type PaletteMix = z.infer<typeof mixSchema>;

const colourSchema = z.strictObject({
  name: z.string().trim().min(1, 'Give the colour a name.').max(60, 'Keep the name under 60 letters.'),
  colour: hexSchema,
  mix: mixSchema.nullable().default(null),
});
export type PaletteColour = z.infer<typeof colourSchema>;

/** As many as fit on a swatch card and in a head. */
export const MOST_COLOURS = 48;

/** Colours that belong together, each with the mix that makes it where one is known. */
export const paletteSchema = z.strictObject({
  id: paletteIdSchema,
  name: z.string().trim().min(1, 'Give the palette a name.').max(80, 'Keep the name under 80 letters.'),
  colours: z
    .array(colourSchema)
    .min(1, 'A palette has at least one colour.')
    .max(MOST_COLOURS, `A palette has at most ${MOST_COLOURS} colours.`),
});
export type Palette = z.infer<typeof paletteSchema>;

/** A mix in a line: `3 ml Penny Rain + 1.5 ml Rust Road`. */
export const mixLine = (mix: Pick<PaletteMix, 'parts'>): string =>
  mix.parts.map(({ ml, name }) => `${ml} ml ${name}`).join(' + ');

/** The same in lines of at most so many letters, broken between jars. */
export const mixLines = (mix: Pick<PaletteMix, 'parts'>, most: number): readonly string[] =>
  mix.parts.reduce<string[]>((lines, { ml, name }) => {
    const part = `${ml} ml ${name}`;
    const last = lines.at(-1);
    if (last !== undefined && `${last} + ${part}`.length <= most) lines[lines.length - 1] = `${last} + ${part}`;
    else lines.push(last === undefined ? part : `+ ${part}`);
    return lines;
  }, []);
