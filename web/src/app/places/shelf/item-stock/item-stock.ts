import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import {
  afterMovement,
  costPerMl,
  countedIn,
  faultsOf,
  LedgerError,
  ledgerReasons,
  movementSchema,
  weighedShare,
  WeighingError,
  type LedgerEntry,
  type ShelfItem,
} from '@aurantia/core';
import * as z from 'zod';
import { NumberField } from '../../../parts/fields/number-field';
import { Pick } from '../../../parts/fields/pick';
import { Notices } from '../../../services/notices';
import { WorkshopMemory } from '../../../services/workshop';
import { StockChart } from './stock-chart';
import { Unfetched } from '../../../parts/unfetched/unfetched';
import { BUTTONS } from '../../../parts/buttons';

const day = new Intl.DateTimeFormat('en', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit', hour12: false });

/** What came to and went from a jar, and, for a glitter, setting its data right by one weighed spoon. */
@Component({
  selector: 'au-item-stock',
  imports: [BUTTONS, NumberField, Pick, StockChart, Unfetched],
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
  protected readonly counts = computed(() =>
    this.entries().flatMap((entry) => (entry.left === null ? [] : [{ ...entry, left: entry.left }])),
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
    const movement = { why: this.why(), amount: this.change() };
    if (movement.amount === null) return this.refused.set('Type how many.');
    try {
      // Tried on the count as it is known here, so that what can't be is said beside the field; the memory counts itself.
      afterMovement(this.item(), movementSchema.parse(movement));
      this.memory.moveItem(this.item().id, movement).subscribe();
      this.change.set(null);
      this.refused.set(null);
    } catch (error) {
      if (error instanceof z.ZodError) return this.refused.set(faultsOf(error)[0]?.sentence ?? null);
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
      this.memory.putItem({ ...item, basis: 'weighed', flake: { ...item.flake, solidShare } }).subscribe();
      this.weighing.set(null);
      this.grams.set(null);
    } catch (error) {
      if (!(error instanceof WeighingError)) throw error;
      this.weighing.set(error.message);
    }
  }
}
