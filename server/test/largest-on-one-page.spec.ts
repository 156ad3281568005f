import { largestOnOnePage } from '../src/card/largest-on-one-page';

const SIZES = [8.6, 8.1, 7.6, 7.1, 6.7];

test.each([1, 2, 3, 4, 5])(
  'of %i sizes the largest that fits is found in fewer tries than there are, the smallest where none does',
  async (count) => {
    const sizes = SIZES.slice(-count);
    for (const fits of [...sizes.keys(), count]) {
      const tried: number[] = [];
      const laid = await largestOnOnePage(sizes, (size) => {
        tried.push(size);
        return Promise.resolve({ size, pages: sizes.indexOf(size) >= fits ? 1 : 2 });
      });
      expect(laid).toEqual({ size: sizes[Math.min(fits, count - 1)], pages: fits < count ? 1 : 2 });
      // None is laid out twice.
      expect(new Set(tried).size).toBe(tried.length);
      expect(tried.length).toBeLessThanOrEqual(Math.floor(Math.log2(count)) + 1);
    }
  },
);
