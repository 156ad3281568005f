/** Whether two records hold the same in each field, by identity. */
export function sameFields<Given extends object>(one: Given, other: Given): boolean {
  const fields = Object.keys(one) as (keyof Given)[];
  return fields.length === Object.keys(other).length && fields.every((field) => Object.is(one[field], other[field]));
}
