/** ms between two words to the page */
const WORD_EVERY = 80;

/**
 * Runs a search to its end, telling now and then how far it is; what is told last is the end.
 * @param far says how far it is
 * @param end says what it came to
 */
export function tellNowAndThen<Step, End>(
  search: Generator<Step, End>,
  far: (step: Step) => void,
  end: (value: End) => void,
): void {
  let told = performance.now();
  for (;;) {
    const { value, done } = search.next();
    if (done) return end(value);
    if (performance.now() - told < WORD_EVERY) continue;
    told = performance.now();
    far(value);
  }
}
