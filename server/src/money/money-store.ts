import { moneyWaysSchema, usualMoneyWays, type MoneyWays } from '@aurantia/core/money';
import { KeptBook } from '../store/kept-book';
import type { Store } from '../store/open-store';

/** How a workshop counts its money. */
export class MoneyStore extends KeptBook<MoneyWays> {
  constructor(private readonly within: Store) {
    super(within, 'money', moneyWaysSchema, async () => usualMoneyWays);
  }

  /** Cups the logbook has that came out, and that were given up. */
  async cupsMade(): Promise<{ made: number; failed: number }> {
    const rows = await this.within
      .selectFrom('make')
      .where('over', '>', 0)
      .select(['over', ({ fn }) => fn.sum<number>('cups').as('cups')])
      .groupBy('over')
      .execute();
    const cups = (over: number) => Number(rows.find((row) => row.over === over)?.cups ?? 0);
    return { made: cups(1), failed: cups(2) };
  }
}
