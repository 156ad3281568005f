/** Whether two records hold the same in each field, by identity. */
export function sameFields<Given extends object>(one: Given, other: Given): boolean {
  let fields = 0;
  for (const field in one) {
    if (!Object.is(one[field], other[field])) return false;
    fields += 1;
  }
  return fields === Object.keys(other).length;
}
