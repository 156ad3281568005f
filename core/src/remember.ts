import { sameFields } from './same-fields';

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
    for (const entry of kept) if (sameArguments(entry.args, args)) return entry.result;
    const result = work(...args);
    kept.unshift({ args, result });
    if (kept.length > size) kept.pop();
    return result;
  };
}

function sameArguments(one: readonly unknown[], other: readonly unknown[]): boolean {
  if (one.length !== other.length) return false;
  for (let i = 0; i < one.length; i += 1) if (!Object.is(one[i], other[i])) return false;
  return true;
}

/** The same for a function of one record: results are given again for the same fields, each compared by identity. */
export function rememberRecord<Given extends object, Result>(work: (given: Given) => Result, size = 8): (given: Given) => Result {
  const kept: { given: Given; result: Result }[] = [];
  return (given) => {
    for (const entry of kept) if (sameFields(entry.given, given)) return entry.result;
    const result = work(given);
    kept.unshift({ given, result });
    if (kept.length > size) kept.pop();
    return result;
  };
}

/**
 * The same for functions of many different first arguments: each of them has a memory of its own,
 * which goes when it goes.
 */
export function rememberEach<First extends object, Rest extends readonly unknown[], Result>(
  work: (first: First, ...rest: Rest) => Result,
  size = 8,
): (first: First, ...rest: Rest) => Result {
  const memories = new WeakMap<First, (...rest: Rest) => Result>();
  return (first, ...rest) => {
    let memory = memories.get(first);
    if (!memory) {
      memory = remember((...others: Rest) => work(first, ...others), size);
      memories.set(first, memory);
    }
    return memory(...rest);
  };
}

/** Of many different first arguments, and a record beside each. */
export function rememberEachRecord<First extends object, Given extends object, Result>(
  work: (first: First, given: Given) => Result,
  size = 8,
): (first: First, given: Given) => Result {
  const memories = new WeakMap<First, (given: Given) => Result>();
  return (first, given) => {
    let memory = memories.get(first);
    if (!memory) {
      memory = rememberRecord((fields: Given) => work(first, fields), size);
      memories.set(first, memory);
    }
    return memory(given);
  };
}
