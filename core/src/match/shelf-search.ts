import { costPerMl, type ShelfItem } from '../stock';
import { cheapestMix } from './cheapest-mix';
import { findMix } from './find-mix';
import { shelfAnswer, type ShelfAnswer } from './shelf-answer';
import { shelfQuestion, type ShelfWish } from './shelf-question';

/**
 * What a maker asks of the shelf, answered: the best known again and again, the last time for good. The
 * answer is made only when it is called for, since most states nobody looks at.
 * @throws MixQuestionError when no mix can be asked for so
 */
export function* shelfSearch(wish: ShelfWish, shelf: readonly ShelfItem[]): Generator<() => ShelfAnswer, ShelfAnswer> {
  const { question, items } = shelfQuestion(wish, shelf);
  const { cheapest, step } = wish;
  const search = cheapest
    ? cheapestMix({
        ...question,
        prices: items.map((item) => costPerMl(item) ?? Infinity),
        within: cheapest.within,
        below: (cheapest.below ?? Infinity) / 100,
      })
    : findMix(question);
  for (;;) {
    const { value, done } = search.next();
    if (done) return shelfAnswer(value, items, step, true);
    yield () => shelfAnswer(value, items, step, false);
  }
}
