/**
 * The slope at a cell between those to either side: their mean, but no more than twice the gentler one, and none between a rise and
 * a fall. Keeps an edge sharp without ripples.
 * @see B. van Leer, “Towards the ultimate conservative difference scheme III”, Journal of Computational Physics 23, 1977
 */
export function gentler(one: number, other: number): number {
  if (one > 0) {
    if (other <= 0) return 0;
    const [mean, least] = [(one + other) / 2, one < other ? 2 * one : 2 * other];
    return mean < least ? mean : least;
  }
  if (one === 0 || other >= 0) return 0;
  const [mean, least] = [(one + other) / 2, one > other ? 2 * one : 2 * other];
  return mean > least ? mean : least;
}
