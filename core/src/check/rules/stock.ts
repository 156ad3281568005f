import { amountUsed } from '../../coats';
import { drawnParts } from '../../pots';
import { itemOf, mixWeight, type ShelfItem } from '../../stock';
import { amountText, countText } from '../../units';
import type { Facts, Rule } from '../finding';

/** ml a design draws of each item (of film, sheets): glitter as poured, both parts of resin as mixed, ink as dropped. */
function drawnOf({ workshop, steps, fades }: Facts): ReadonlyMap<string, number> {
  const drawn = new Map<string, number>();
  const draw = (id: string, ml: number) => drawn.set(id, (drawn.get(id) ?? 0) + ml);
  for (const { coat, planned } of steps) {
    for (const { item, amount } of planned.uses) draw(item, amount);
    for (const pour of planned.pours) for (const part of drawnParts(pour, fades)) draw(part.item, part.ml);
    if (planned.mix && 'resin' in coat && coat.resin) draw(coat.resin, planned.mix.mix);
    for (const { item, count } of planned.drops) draw(item, count * (itemOf(workshop.shelf, item, 'ink')?.dropMl ?? 0));
  }
  return drawn;
}

const whyShort: Readonly<Partial<Record<ShelfItem['kind'], string>>> = {
  glitter: 'Excess can go back in, but the jar doesn’t hold the pour. Buy more or mix it thinner.',
  resin: 'A coat that runs out half way can’t be continued later. Buy more, or take thinner coats.',
  paint: 'A base that ends half way shows its edge through the glitter. Have a full one at hand.',
  glue: 'Glue that ends half way leaves a line where it was begun again.',
  film: 'A piece set in leaves a seam. Buy a sheet more, or take a narrower strip.',
  ink: 'The last drops decide the colour. Have more at hand, or lower the load.',
};

export const notEnough: Rule = {
  name: 'not enough in stock',
  find: (facts) => {
    const drawn = drawnOf(facts);
    const { units } = facts.workshop.settings;
    return facts.workshop.shelf.flatMap((item) => {
      const need = drawn.get(item.id) ?? 0;
      if (item.left === null || need <= item.left + 1e-9) return [];
      const weight = weightOf(item);
      const text = (amount: number) => {
        if (item.kind === 'ink') return amountText(amount, { ...units, amount: 'ml' }, 1);
        return weight === null ? amountUsed(item.kind, amount) : amountText(amount, units, weight);
      };
      return [
        {
          level: 'look' as const,
          coat: null,
          area: null,
          says: `${item.name}: ${text(need)} wanted, ${text(item.left)} left.`,
          why: whyShort[item.kind] ?? 'Buy more before it is begun.',
          fix: null,
        },
      ];
    });
  },
};

/** g a ml of it weighs as it is measured; ink is dropped, and reads in ml whatever the workshop weighs. */
function weightOf(item: ShelfItem): number | null {
  if (item.kind === 'glitter') return item.flake.solidShare * item.flake.density;
  return item.kind === 'resin' ? mixWeight(item) : null;
}

/** Resin that was opened longer ago than it keeps: it yellows, and may stay soft. */
export const agedResin: Rule = {
  name: 'opened resin past its date',
  find: (facts) => {
    const { today, shelf } = facts.workshop;
    if (today === undefined) return [];
    const used = new Set(facts.steps.flatMap(({ coat }) => ('resin' in coat && coat.resin ? [coat.resin as string] : [])));
    return shelf.flatMap((item) => {
      if (item.kind !== 'resin' || item.opened === null || !used.has(item.id)) return [];
      const months = monthsBetween(item.opened, today);
      if (months < item.keeps) return [];
      return [
        {
          level: 'look' as const,
          coat: null,
          area: null,
          says: `${item.name} has been open for ${countText(months, 'month')}; it keeps ${countText(item.keeps, 'month')}.`,
          why: 'Old resin yellows and may never cure hard. Try a spoonful first, or open a new one; its label has the last word.',
          fix: null,
        },
      ];
    });
  },
};

/** Whole months from one day to another. */
function monthsBetween(from: string, to: string): number {
  const [[y0, m0, d0], [y1, m1, d1]] = [from, to].map((day) => day.split('-').map(Number));
  return (y1 - y0) * 12 + m1 - m0 - (d1 < d0 ? 1 : 0);
}
