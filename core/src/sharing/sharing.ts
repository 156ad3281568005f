import * as z from 'zod';

/** What a device that was let in sees: the bench with its logbook, or all of the workshop. */
export const seesSchema = z.enum(['bench', 'all']);
export type Sees = z.infer<typeof seesSchema>;

const MOST_NAME = 40;
const name = z
  .string()
  .trim()
  .min(1, 'Name the device, so that you know it again.')
  .max(MOST_NAME, `Keep the device’s name to ${MOST_NAME} letters.`);

/** A device that was let in. Moments are ISO 8601 in UTC. */
export const pairedSchema = z.object({
  id: z.string(),
  name,
  sees: seesSchema,
  at: z.string(),
  /** when it last asked for something */
  seen: z.string(),
});
export type Paired = z.infer<typeof pairedSchema>;

/** A code that waits to be typed at another device, or read by its camera. */
const codeSchema = z.object({
  code: z.string(),
  /** addresses that it can be opened at, the code in each */
  links: z.array(z.string()),
  /** of the first link, SVG */
  picture: z.string(),
  name,
  sees: seesSchema,
  /** ms since 1970, by this computer's clock */
  until: z.number(),
  triesLeft: z.int(),
});

/** How the workshop is shared with devices on the same network. */
export const sharingSchema = z.object({
  on: z.boolean(),
  /** where it listens for them, none while it doesn't */
  addresses: z.array(z.string()),
  /** a sentence where it should listen and can't */
  trouble: z.string().nullable(),
  code: codeSchema.nullable(),
  paired: z.array(pairedSchema),
});
export type Sharing = z.infer<typeof sharingSchema>;

/** What a device shall be called, and see. */
export const sharingWishSchema = z.strictObject({ name, sees: seesSchema });
export type SharingWish = z.infer<typeof sharingWishSchema>;

/** Letters and digits that aren't taken for one another, read off a screen or said aloud. */
export const AMONG_THE_CODES = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const HALF = 4;

/** A code as it is shown, in two halves. */
export const codeText = (code: string): string => `${code.slice(0, HALF)} ${code.slice(HALF)}`;

/** What was typed, as a code: small letters, gaps and dashes are one's own business. */
export const typedCode = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '');
