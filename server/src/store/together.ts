import { AsyncLocalStorage } from 'node:async_hooks';
import type { Store } from './open-store';

const underWay = new AsyncLocalStorage<{ open: boolean }>();

/** Whether whoever asks now does so from within a transaction that is still under way. */
export const isUnderWay = (): boolean => underWay.getStore()?.open === true;

/** Does work all or nothing; within a transaction that is already under way it becomes part of that one. */
export const together = <Result>(store: Store, work: (within: Store) => Promise<Result>): Promise<Result> =>
  store.isTransaction
    ? work(store)
    : store.transaction().execute(async (within) => {
        const transaction = { open: true };
        try {
          return await underWay.run(transaction, () => work(within));
        } finally {
          transaction.open = false;
        }
      });
