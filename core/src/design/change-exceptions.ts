import type { Design } from './design';
import type { Exception } from './exception';

/** What an exception is from: a rule, and the coat or area it spoke about. */
type Spoken = Pick<Exception, 'rule' | 'coat' | 'area'>;

const same = (one: Spoken, other: Spoken): boolean =>
  one.rule === other.rule && one.coat === other.coat && one.area === other.area;

/** The reason a design gives for what a rule says; null when it gives none. */
export const exceptionFor = ({ exceptions = [] }: Pick<Design, 'exceptions'>, spoken: Spoken): string | null =>
  exceptions.find((one) => same(one, spoken))?.reason ?? null;

/** A design that leaves something so, with the reason; with none it is looked at again. */
export function withException(design: Design, { rule, coat, area }: Spoken, reason: string | null): Design {
  // What was about a coat or an area that is gone goes too.
  const here = (one: Spoken) =>
    (one.coat === null || design.coats.some(({ id }) => id === one.coat)) &&
    (one.area === null || design.areas.some(({ id }) => id === one.area));
  const others = (design.exceptions ?? []).filter((one) => here(one) && !same(one, { rule, coat, area }));
  const exceptions = reason === null ? others : [...others, { rule, coat, area, reason }];
  if (exceptions.length > 0) return { ...design, exceptions };
  const bare = { ...design };
  delete bare.exceptions;
  return bare;
}
