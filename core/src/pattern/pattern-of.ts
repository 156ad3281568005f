import { remember } from '../remember';
import { crackle } from './crackle';
import { floated } from './floated';
import { graded } from './graded';
import { grain } from './grain';
import type { Pattern, PatternWish } from './pattern';
import { swirls } from './swirls';

/** A wish is made anew with each plan, so its text is compared. */
const made = remember((wish: string): Pattern => patternFor(JSON.parse(wish) as PatternWish), 12);

/** The pattern that is wished for; always the same for the same wish. */
export const patternOf = (wish: PatternWish): Pattern => made(JSON.stringify(wish));

function patternFor(wish: PatternWish): Pattern {
  switch (wish.kind) {
    case 'grain':
      return grain(wish);
    case 'crackle':
      return crackle(wish);
    case 'floated':
      return floated(wish);
    case 'swirls':
      return swirls(wish);
    case 'graded':
      return graded(wish);
  }
}
