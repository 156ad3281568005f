import * as z from 'zod';
import { areaIdSchema } from '../areas';
import { coatIdSchema } from './coat';
import type { Design } from './design';

/** Something the check speaks up about that the maker means so, and why. */
export const exceptionSchema = z.strictObject({
  rule: z.string().trim().min(1).max(80),
  /** what it was about when it was left so */
  coat: coatIdSchema.nullable(),
  area: areaIdSchema.nullable(),
  reason: z
    .string()
    .trim()
    .min(1, 'Say why it is right here: the card tells whoever makes the cup.')
    .max(200, 'Keep the reason under 200 letters.'),
});
export type Exception = z.infer<typeof exceptionSchema>;

/** What an exception is from: a rule, and the coat or area it spoke about. */
type Spoken = Pick<Exception, 'rule' | 'coat' | 'area'>;

const same = (one: Spoken, other: Spoken): boolean =>
  one.rule === other.rule && one.coat === other.coat && one.area === other.area;

/** The reason a design gives for what a rule says; null when it gives none. */
export const exceptionFor = ({ exceptions = [] }: Pick<Design, 'exceptions'>, spoken: Spoken): string | null =>
  exceptions.find((one) => same(one, spoken))?.reason ?? null;

/** A design that leaves something so, with the reason; with none it is looked at again. */
export function withException(design: Design, { rule, coat, area }: Spoken, reason: string | null): Design {
  const others = (design.exceptions ?? []).filter((one) => !same(one, { rule, coat, area }));
  const exceptions = reason === null ? others : [...others, { rule, coat, area, reason }];
  const { exceptions: _, ...bare } = design;
  return exceptions.length > 0 ? { ...bare, exceptions } : bare;
}
