/**
 * The slope at a cell between those to either side: their mean, but no more than twice the gentler one, and none between a rise and
 * a fall. Keeps an edge sharp without ripples.
 * @see B. van Leer, “Towards the ultimate conservative difference scheme III”, Journal of Computational Physics 23, 1977
 */
export function gentler(one: number, other: number): number {
  if (one * other <= 0) return 0;
  const mean = (one + other) / 2;
  const least = Math.abs(one) < Math.abs(other) ? 2 * one : 2 * other;
  return Math.abs(mean) < Math.abs(least) ? mean : least;
}
