/**
 * Keeps a function's latest results and gives them again for the same arguments, compared by
 * identity: documents are never changed in place, so what didn't change is the same object.
 * @param size how many results are kept; the oldest goes first
 */
export function remember<Args extends readonly unknown[], Result>(
  work: (...args: Args) => Result,
  size = 8,
): (...args: Args) => Result {
  const kept: { args: Args; result: Result }[] = [];
  return (...args) => {
    const at = kept.findIndex(
      (entry) => entry.args.length === args.length && entry.args.every((arg, i) => Object.is(arg, args[i])),
    );
    if (at >= 0) return kept[at].result;
    const result = work(...args);
    kept.unshift({ args, result });
    if (kept.length > size) kept.pop();
    return result;
  };
}
