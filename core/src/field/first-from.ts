/**
 * The first of some entries that isn't before a value; they rise.
 * @param apart numbers from one entry to the next, of which the first counts
 */
export function firstFrom(list: ArrayLike<number>, value: number, entries: number, apart: number): number {
  let [low, high] = [0, entries];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (list[apart * middle] < value) low = middle + 1;
    else high = middle;
  }
  return low;
}
