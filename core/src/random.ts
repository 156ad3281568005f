/**
 * A seeded stream of numbers in 0..1: the same seed gives the same cup for ever.
 * Mulberry32 (T. Ettinger, 2017, public domain): 32 bits of state are plenty for a picture.
 */
export function randomStream(seed: number): () => number {
  let state = seed | 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** A seed from any text, such as a design's id (FNV-1a). */
export function seedOf(text: string): number {
  let hash = 0x811c9dc5;
  for (const letter of text) hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 0x01000193);
  return hash >>> 0;
}
