import type { AreaId } from '../areas';
import type { ShelfItemId } from '../stock';
import { tidy } from '../units';
import type { Blend } from './blend';
import type { Design } from './design';

const withBlend = (design: Design, area: AreaId, change: (parts: Blend['parts']) => Blend['parts']): Design => {
  const found = design.blends.find((blend) => blend.area === area);
  const parts = change(found?.parts ?? []);
  if (parts.length === 0) return { ...design, blends: design.blends.filter((blend) => blend !== found) };
  if (!found) return { ...design, blends: [...design.blends, { area, parts }] };
  return { ...design, blends: design.blends.map((blend) => (blend === found ? { ...blend, parts } : blend)) };
};

/** One glitter more in an area's blend. */
export const withPart = (design: Design, area: AreaId, item: ShelfItemId, ml: number): Design =>
  withBlend(design, area, (parts) => (parts.some((part) => part.item === item) ? parts : [...parts, { item, ml }]));

export const withPartMl = (design: Design, area: AreaId, item: ShelfItemId, ml: number): Design =>
  withBlend(design, area, (parts) => parts.map((part) => (part.item === item ? { ...part, ml } : part)));

/** An area's blend replaced by other parts. */
export const withParts = (design: Design, area: AreaId, parts: Blend['parts']): Design =>
  withBlend(design, area, () => parts.map(({ item, ml }) => ({ item, ml })));

/** All parts of an area's blend by a factor: the same mix, more or less of it. */
export const withFactor = (design: Design, area: AreaId, factor: number): Design =>
  withBlend(design, area, (parts) => parts.map(({ item, ml }) => ({ item, ml: tidy(ml * factor) })));

/** Without a glitter; a blend that is then empty goes too. */
export const withoutPart = (design: Design, area: AreaId, item: ShelfItemId): Design =>
  withBlend(design, area, (parts) => parts.filter((part) => part.item !== item));

/** The blend of one area, copied to another. */
export function withBlendFrom(design: Design, from: AreaId, to: AreaId): Design {
  const source = design.blends.find((blend) => blend.area === from);
  return source ? withBlend(design, to, () => source.parts) : design;
}
