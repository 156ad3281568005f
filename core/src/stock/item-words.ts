import { differenceWords } from '../colour';
import { cutText, facePerMl, flakesPerMl, gramsPerMl } from '../glitter';
import { sortOf } from '../ink';
import { aboutText, countText, percentText } from '../units';
import { shareSpread } from './certainty';
import type { FoundItem } from './find-on-shelf';
import { glueWayFacts } from './glue-ways';
import type { ItemOf, ShelfItem } from './shelf-item';

/** What a jar is, in a line under its name. */
export function factOf(item: ShelfItem): string {
  switch (item.kind) {
    case 'glitter':
      return `${cutText(item.flake)}, ${{ solid: 'opaque', tinted: 'see-through', opal: 'opal' }[item.flake.kind]}, ${item.finish}`;
    case 'ink':
      return sortOf(item);
    case 'film':
      return `${item.type}, ${item.width} × ${item.length} mm`;
    case 'paint':
      return `dry in ${item.dryMinutes} min`;
    case 'resin':
      return `${item.ratio.join(':')} by ${item.ratioBy}, pot life ${item.potLife} min`;
    case 'glue':
      return `${glueWayFacts[item.way].title.toLowerCase()}, holds ${Number(item.hold.toFixed(2))} deep${item.learnt ? `, from ${countText(item.learnt.from, 'weighing')}` : ''}`;
  }
}

/** The same of one that was looked for: whether it is a typical one, how far its colour is off, and what it is. */
export function foundFact({ item, difference }: FoundItem): string {
  const near = difference !== null && difference < 10 ? `${differenceWords(difference).word}, ` : '';
  const off = difference === null ? '' : `${near}${difference.toFixed(1)} away; `;
  return `${item.typical ? 'typical; ' : ''}${off}${factOf(item)}`;
}

/** What follows from a glitter's flakes, figure by figure. */
export const derivedOf = ({ flake }: ItemOf<'glitter'>): readonly { readonly figure: string; readonly label: string }[] => [
  { figure: `${facePerMl(flake).toFixed(0)} cm²`, label: 'of flake face in a ml' },
  { figure: aboutText(flakesPerMl(flake)), label: 'flakes in a ml, about' },
  { figure: `${gramsPerMl(flake).toFixed(2)} g`, label: 'a ml weighs as poured' },
];

/** What a glitter's derived figures rest on, a sentence. */
export const restsOn = ({ basis }: ItemOf<'glitter'>): string =>
  ({
    typical: `From values usual for its cut: the solid share may be ${percentText(shareSpread.typical)} off. Weighing one level spoon would settle it.`,
    label: `From its label or data sheet: the solid share may be ${percentText(shareSpread.label)} off. Weighing one level spoon would settle it.`,
    weighed: `From a weighed spoon: the solid share is within about ${percentText(shareSpread.weighed)}.`,
  })[basis];
