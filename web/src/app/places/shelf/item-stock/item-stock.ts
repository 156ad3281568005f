import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import {
  afterChange,
  costPerMl,
  countedIn,
  LedgerError,
  ledgerReasons,
  weighedShare,
  WeighingError,
  type LedgerEntry,
  type ShelfItem,
} from '@aurantia/core';
import { NumberField } from '../../../parts/fields/number-field';
import { Pick } from '../../../parts/fields/pick';
import { Notices } from '../../../services/notices';
import { WorkshopMemory } from '../../../services/workshop';

const day = new Intl.DateTimeFormat('en', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit', hour12: false });

/** What came to and went from a jar, and, for a glitter, setting its data right by one weighed spoon. */
@Component({
  selector: 'au-item-stock',
  imports: [NumberField, Pick],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './item-stock.html',
  styleUrl: './item-stock.scss',
})
export class ItemStock {
  private readonly memory = inject(WorkshopMemory);
  private readonly notices = inject(Notices);
  readonly item = input.required<ShelfItem>();

  protected readonly reasons = ledgerReasons.map((value) => ({ value, name: value }));
  protected readonly why = signal<string>(ledgerReasons[0]);
  protected readonly change = signal<number | null>(null);
  protected readonly refused = signal<string | null>(null);
  protected readonly entries = signal<readonly LedgerEntry[]>([]);
  protected readonly rows = computed(() =>
    this.entries()
      .slice(0, 6)
      .map(({ at, change, left, why }) => ({
        at,
        when: day.format(new Date(at)),
        change: change === null ? '' : `${change > 0 ? '+' : '−'}${Math.abs(change)} ${this.counted()}`,
        left: left === null ? 'no count' : `${left} ${this.counted()} left`,
        why,
      })),
  );
  protected readonly counted = computed(() => countedIn(this.item()));
  protected readonly perMl = computed(() => costPerMl(this.item()));
  protected readonly spoon = signal(5);
  protected readonly grams = signal<number | null>(null);
  protected readonly weighing = signal<string | null>(null);

  constructor() {
    effect((onCleanup) => {
      const { id } = this.item();
      const wish = this.memory.ledger(id).subscribe({
        next: (entries) => this.entries.set(entries),
        error: (error: unknown) => this.notices.failed(error),
      });
      onCleanup(() => wish.unsubscribe());
    });
  }

  protected note(): void {
    const [ml, why, item] = [this.change(), this.why(), this.item()];
    if (ml === null) return this.refused.set('Type how many.');
    try {
      this.keep(afterChange(item, why, ml), why);
      this.change.set(null);
      this.refused.set(null);
    } catch (error) {
      if (!(error instanceof LedgerError)) throw error;
      this.refused.set(error.message);
    }
  }

  protected weigh(): void {
    const [item, grams] = [this.item(), this.grams()];
    if (item.kind !== 'glitter') return;
    if (grams === null) return this.weighing.set('Type what the level spoon of glitter weighs.');
    try {
      const solidShare = weighedShare(item.flake, item.basis, this.spoon(), grams);
      this.keep({ ...item, basis: 'weighed', flake: { ...item.flake, solidShare } }, 'counted anew');
      this.weighing.set(null);
      this.grams.set(null);
    } catch (error) {
      if (!(error instanceof WeighingError)) throw error;
      this.weighing.set(error.message);
    }
  }

  private keep(item: ShelfItem, why: string): void {
    this.memory.putItem(item, why).subscribe({ error: (error: unknown) => this.notices.failed(error) });
  }
}
