import { inject, Injectable, signal } from '@angular/core';
import { moneyWaysSchema, rejectShare, usualMoneyWays, type MoneyWays, type Prices } from '@aurantia/core/money';
import * as z from 'zod';
import { Api } from './api';
import { Notices } from './notices';
import { keptElsewhere, OrderedSaving } from './ordered-saving';
import { WorkshopMemory } from './workshop';

const keptSchema = z.object({
  document: moneyWaysSchema,
  revision: z.int(),
  log: z.object({ made: z.number(), failed: z.number() }),
});

/** How the workshop counts its money, as this page knows it. */
@Injectable({ providedIn: 'root' })
export class Money {
  private readonly api = inject(Api);
  private readonly notices = inject(Notices);
  private readonly memory = inject(WorkshopMemory);
  private readonly saving = new OrderedSaving<MoneyWays>((_, document, parent) =>
    this.api.put('money', { parent: parent ?? 0, document }, keptSchema),
  );

  readonly ways = signal<MoneyWays>(usualMoneyWays);
  /** cups of the logbook that came out, and that were given up */
  readonly log = signal({ made: 0, failed: 0 });
  readonly loaded = signal(false);

  load(): void {
    this.api.get('money', keptSchema).subscribe({
      next: ({ document, revision, log }) => {
        this.log.set(log);
        if (this.saving.isNews('money', revision)) {
          this.saving.note('money', revision);
          this.ways.set(document);
        }
        this.loaded.set(true);
      },
      error: (error: unknown) => this.notices.failed(error, () => this.load()),
    });
  }

  /** What things are priced by, now. */
  prices(): Prices {
    return { ways: this.ways(), shelf: this.memory.shelf(), failing: rejectShare(this.ways().rejects, this.log()) };
  }

  /** Shown at once; put back when it can’t be kept. @returns what is wrong with it; null where it was taken */
  change(change: Partial<MoneyWays>): string | null {
    const before = this.ways();
    const read = moneyWaysSchema.safeParse({ ...before, ...change });
    if (!read.success) return read.error.issues.at(0)?.message ?? 'This can’t be taken.';
    this.ways.set(read.data);
    this.saving.save('money', read.data).subscribe({
      error: (error: unknown) => {
        if (keptElsewhere(error, moneyWaysSchema)) this.load();
        else if (this.ways() === read.data) this.ways.set(before);
        this.notices.failed(error);
      },
    });
    return null;
  }
}
