/** Words as they are searched: small letters without their accents, so that “cafe” finds “Café”. */
export const searchWords = (...words: readonly string[]): string =>
  words.join(' ').normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();
