import * as z from 'zod';

// Control characters can't be seen, half a letter can't be sent, and a browser takes a dot or two for a folder.
const unfit = /[\p{Cc}\p{Cs}]|^\.{1,2}$/u;

/**
 * An id as text: one that can stand in an address and be found again there.
 * @param missing the sentence when there is none
 */
export const idText = (missing: string) =>
  z
    .string()
    .trim()
    .min(1, missing)
    .max(64, 'An id has at most 64 letters.')
    .refine(
      (id) => !unfit.test(id) && !(id in Object.prototype),
      'An id is made of whole letters, and no dot or word of the program’s own. Choose another.',
    );
