import { countText, durationText } from '../units';

/** Why a job can't be planned at all. */
export type WhyNot =
  | {
      readonly kind: 'too few';
      readonly what: 'turner arm' | 'place to spray' | 'hook';
      readonly needs: number;
      readonly has: number;
      readonly work: string;
    }
  | { readonly kind: 'too long'; readonly work: string; readonly hands: number; readonly longest: number }
  | { readonly kind: 'window'; readonly work: string; readonly next: string; readonly wait: number; readonly within: number }
  | { readonly kind: 'pin'; readonly work: string }
  | { readonly kind: 'too far'; readonly days: number };

/** The same as a sentence, with a way out. */
export function whyNotText(why: WhyNot): string {
  switch (why.kind) {
    case 'too few': {
      const there = why.has === 0 ? 'there is none' : `there ${why.has === 1 ? 'is' : 'are'} ${why.has}`;
      return `“${why.work}” needs ${countText(why.needs, why.what)}, and ${there}. Say how many there are under Hands and arms${
        why.needs > 1 ? ', or make fewer cups at once' : ''
      }.`;
    }
    case 'too long':
      return why.longest === 0
        ? `Nobody has any hours. Say under Hands and arms when somebody works.`
        : `“${why.work}” takes ${durationText(why.hands)} in one go, and the longest day has ${durationText(why.longest)}. Make fewer cups at once, or work a longer day.`;
    case 'window':
      return `“${why.next}” has to follow “${why.work}” after ${durationText(why.wait)} and before ${durationText(why.within)} are over, and nobody’s hours reach from the one to the other. Work a longer day, or let the coat cure and sand it: change that in the design’s coats.`;
    case 'pin':
      return `“${why.work}” can’t be begun when it is pinned to: what comes before it isn’t ready, or hands and arms are taken then. Take the pin out, or move it.`;
    case 'too far':
      return `It would end more than ${countText(why.days, 'day')} from now. Take fewer orders, or add hands.`;
  }
}
