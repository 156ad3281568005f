import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import type { DesignId } from '@aurantia/core';
import type { MakeId } from '@aurantia/core/make';
import { floorOf, moneyText, priceForWage, wageAt } from '@aurantia/core/money';
import { orderSchema, orderStates, type Order, type OrderId, type OrderState } from '@aurantia/core/order';
import { catchError, debounceTime, map, of, startWith, switchMap } from 'rxjs';
import { v7 } from 'uuid';
import { BUTTONS } from '../../../parts/buttons';
import { DateField } from '../../../parts/fields/date-field';
import { NumberField } from '../../../parts/fields/number-field';
import { Pick } from '../../../parts/fields/pick';
import { TextField } from '../../../parts/fields/text-field';
import { Costs } from '../../../services/costs';
import { MakesList } from '../../../services/makes-list';
import { Money } from '../../../services/money';
import { Orders } from '../../../services/orders';
import { Week } from '../../../services/week';
import { roomWords } from './room-words';

/** ms without another change after which room and costs are looked for. */
const TYPED = 350;
/** Stands for the design as it is kept now. */
const NOW = 'now';

/** An order: who waits for what by when. Whether there is time, and what it earns, is told before it is taken. */
@Component({
  selector: 'au-order-dialog',
  imports: [BUTTONS, DateField, MatDialogModule, NumberField, Pick, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './order-dialog.html',
  styleUrl: './order-dialog.scss',
})
export class OrderDialog {
  protected readonly orders = inject(Orders);
  private readonly week = inject(Week);
  private readonly costs = inject(Costs);
  private readonly money = inject(Money);
  private readonly ref = inject<MatDialogRef<OrderDialog>>(MatDialogRef);
  /** one that is there already; null for a new one */
  protected readonly given = inject<Order | null>(MAT_DIALOG_DATA);

  protected readonly order = signal<Order>(
    this.given ?? {
      id: v7() as OrderId,
      who: '',
      design: (this.orders.designs().at(0)?.id ?? '') as DesignId,
      like: null,
      cups: 1,
      due: null,
      price: null,
      state: 'taken',
      note: '',
      makes: [],
    },
  );
  protected readonly wrong = signal<Partial<Record<keyof Order, string>>>({});
  protected readonly designs = computed(() => this.orders.designs().map(({ id, name }) => ({ value: id as string, name })));
  protected readonly states = orderStates.map((state) => ({ value: state as string, name: stateNames[state] }));
  /** makes of the design that it may come out like */
  private readonly makes = toSignal(
    inject(MakesList)
      .found({ words: '', from: null, until: null })
      .pipe(
        map(({ makes }) => makes),
        catchError(() => of([])),
      ),
    {
      initialValue: [],
    },
  );
  protected readonly likes = computed(() => [
    { value: NOW, name: 'As the design is now' },
    ...this.makes()
      .filter(({ designId }) => designId === this.order().design)
      .map(({ id, number, label }) => ({ value: id as string, name: `Like make ${number}${label ? `, ${label}` : ''}` })),
  ]);
  protected readonly known = computed(() => this.orders.designs().some(({ id }) => id === this.order().design));
  private readonly settled = toObservable(this.order).pipe(debounceTime(TYPED));
  protected readonly room = toSignal(
    this.settled.pipe(
      switchMap((order) =>
        this.known()
          ? this.week.roomFor(order).pipe(
              map((room) => ({ words: roomWords(room, order), failed: null })),
              catchError((error: unknown) =>
                of({ words: null, failed: error instanceof Error ? error.message : 'This can’t be told.' }),
              ),
              startWith(null),
            )
          : of(null),
      ),
    ),
    { initialValue: null },
  );
  private readonly cost = toSignal(
    this.settled.pipe(
      switchMap(({ design, cups }) =>
        this.known()
          ? this.costs.ofKept(design, [Math.min(24, cups)]).pipe(
              map(({ costs }) => costs[0]),
              catchError(() => of(null)),
              startWith(null),
            )
          : of(null),
      ),
    ),
    { initialValue: null },
  );
  protected readonly worth = computed(() => {
    const [cost, ways, { cups, price }] = [this.cost(), this.money.ways(), this.order()];
    if (!cost) return null;
    const wage = price === null ? null : wageAt(price / cups, cost, ways, cups);
    const text = (amount: number) => moneyText(amount, ways);
    const hours = ways.rate === null ? 'hours not counted' : `${text(ways.rate)} an hour of hands in it`;
    const earns = wage === null ? '' : ` At the agreed price an hour earns ${text(wage)}.`;
    const others = cost.unpriced.length > 3 ? ` and ${cost.unpriced.length - 3} more` : '';
    return {
      says: `A cup costs ${text(floorOf(cost))}, ${hours}; ${text(cups * priceForWage(ways.rate ?? 0, cost, ways, cups))} for all pays that, fees and postage.${earns}`,
      unpriced:
        cost.unpriced.length === 0
          ? ''
          : `Not in it, for nobody said their price: ${cost.unpriced.slice(0, 3).join(', ')}${others}.`,
    };
  });

  constructor() {
    if (!this.week.data()) this.week.load();
    this.orders.load();
    this.money.load();
  }

  /** What is refused stays typed, with its sentence; the order keeps what it had. */
  protected set(change: Partial<Order>): void {
    const [field] = Object.keys(change) as (keyof Order)[];
    const read = orderSchema.shape[field].safeParse(change[field]);
    this.wrong.set({
      ...this.wrong(),
      [field]: read.success ? undefined : (read.error.issues.at(0)?.message ?? 'This can’t be taken.'),
    });
    if (read.success) this.order.set({ ...this.order(), [field]: read.data } as Order);
  }

  protected setDesign(id: string): void {
    this.set({ like: null });
    this.set({ design: id as DesignId });
  }

  protected setLike(make: string): void {
    this.set({ like: make === NOW ? null : (make as MakeId) });
  }

  protected setState(state: string): void {
    this.set({ state: state as OrderState });
  }

  protected setDay(day: string | null): void {
    this.set({ due: day === null ? null : { day, time: this.order().due?.time ?? '18:00' } });
  }

  protected setTime(time: string): void {
    const { due } = this.order();
    if (due) this.set({ due: { ...due, time: time.trim().padStart(5, '0') } });
  }

  protected keep(): void {
    if (!this.known()) return;
    this.orders.put(this.order()).subscribe(() => this.week.load());
    this.ref.close();
  }

  protected remove(): void {
    if (this.given) this.orders.remove(this.given);
    this.ref.close();
  }
}

export const stateNames: Readonly<Record<OrderState, string>> = {
  asked: 'Asked for',
  taken: 'Taken',
  ready: 'Ready',
  'handed over': 'Handed over',
  'given up': 'Given up',
};
