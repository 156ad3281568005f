import type { Store } from './open-store';
import { whileUnderWay } from './under-way';

/** Does work all or nothing; within a transaction that is already under way it becomes part of that one. */
export const together = <Result>(store: Store, work: (within: Store) => Promise<Result>): Promise<Result> =>
  store.isTransaction ? work(store) : store.transaction().execute((within) => whileUnderWay(() => work(within)));
