/** What was laid out, and on how many pages. */
export interface Laid {
  readonly pages: number;
}

/**
 * The largest size that keeps all on one page, or the smallest where none does. Larger type never takes fewer pages, so
 * what is between is halved: laying out is what takes time.
 * @param sizes largest first, one at least
 */
export async function largestOnOnePage<Page extends Laid>(
  sizes: readonly number[],
  layOut: (size: number) => Promise<Page>,
): Promise<Page> {
  let best: Page | null = null;
  let from = 0;
  let to = sizes.length - 1;
  while (from < to) {
    const middle = Math.floor((from + to) / 2);
    const laid = await layOut(sizes[middle]);
    if (laid.pages === 1) [best, to] = [laid, middle];
    else from = middle + 1;
  }
  return best ?? layOut(sizes[to]);
}
