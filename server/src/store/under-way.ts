import { AsyncLocalStorage } from 'node:async_hooks';

const underWay = new AsyncLocalStorage<{ open: boolean }>();

/** Whether whoever asks now does so from within a transaction that is still under way. */
export const isUnderWay = (): boolean => underWay.getStore()?.open === true;

/** Does the work of a transaction, known as such until it is over. */
export async function whileUnderWay<Result>(work: () => Promise<Result>): Promise<Result> {
  const transaction = { open: true };
  try {
    return await underWay.run(transaction, work);
  } finally {
    transaction.open = false;
  }
}
