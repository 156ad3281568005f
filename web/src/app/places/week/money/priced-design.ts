import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { differenceWords, type Design } from '@aurantia/core';
import { floorOf, moneyText, priceForWage, priceOf, soldAt, wageAt, type Saving } from '@aurantia/core/money';
import { catchError, debounceTime, map, of, startWith, switchMap } from 'rxjs';
import { NumberField } from '../../../parts/fields/number-field';
import { CostView } from '../../../parts/cost-view/cost-view';
import { Costs } from '../../../services/costs';
import { Money } from '../../../services/money';

/** ms without another change after which it is counted anew. */
const TYPED = 250;
const MOST = 24;

/** What cups of a design cost, what they have to be sold for, what a price earns, and what would be cheaper. */
@Component({
  selector: 'au-priced-design',
  imports: [CostView, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './priced-design.html',
  styleUrl: './priced-design.scss',
})
export class PricedDesign {
  private readonly costs = inject(Costs);
  protected readonly money = inject(Money);
  /** a whole design, or the id of one that is kept */
  readonly design = input.required<Design | string>();

  protected readonly cups = signal(1);
  protected readonly refused = signal<string | null>(null);
  private readonly wish = computed(() => ({ design: this.design(), cups: this.cups(), prices: this.money.prices() }));
  private readonly reply = toSignal(
    toObservable(this.wish).pipe(
      debounceTime(TYPED),
      switchMap(({ design, cups }) => {
        const counts = [cups, Math.min(MOST, cups + 1), Math.min(MOST, cups + 10)];
        const asked = typeof design === 'string' ? this.costs.ofKept(design, counts) : this.costs.of(design, counts);
        return asked.pipe(
          map((costed) => ({ costed, failed: null, counts })),
          catchError((error: unknown) =>
            of({ costed: null, failed: error instanceof Error ? error.message : 'This can’t be told.', counts }),
          ),
          startWith(null),
        );
      }),
    ),
    { initialValue: null },
  );
  /** the last that was counted stays in sight while it is counted anew */
  protected readonly shown = linkedSignal<ReturnType<typeof this.reply>, ReturnType<typeof this.reply>>({
    source: this.reply,
    computation: (reply, before) => reply ?? before?.value ?? null,
  });
  protected readonly cost = computed(() => this.shown()?.costed?.costs[0] ?? null);
  protected readonly titles = computed(() => this.shown()?.costed?.titles ?? []);
  protected readonly says = computed(() => {
    const cost = this.cost();
    const ways = this.money.ways();
    if (!cost) return null;
    const { price, fees, postage, left } = priceOf(cost, ways, cost.cups);
    const text = (amount: number) => moneyText(amount, ways);
    return {
      price: text(price),
      fees: text(fees),
      postage: text(postage),
      left: text(left),
      floor: text(floorOf(cost)),
      figure: price,
    };
  });
  protected readonly more = computed(() => {
    const shown = this.shown();
    const [cost, one, ten] = shown?.costed?.costs ?? [];
    if (!shown || !cost || !one || !ten || shown.counts[1] === shown.counts[0]) return null;
    const by = shown.counts[2] - shown.counts[0];
    const text = (amount: number) => moneyText(amount, this.money.ways());
    const many = by > 1 ? `, ${by} more ${text((ten.total - cost.total) / by)} each` : '';
    return `One more at the same time costs ${text(one.total - cost.total)}${many}.`;
  });
  /** what is typed stays, until another design is looked at */
  protected readonly sold = signal<number | null>(null);
  protected readonly wish_ = signal<number | null>(null);
  protected readonly earns = computed(() => {
    const [cost, price, ways] = [this.cost(), this.sold(), this.money.ways()];
    if (!cost || price === null) return '';
    const wage = wageAt(price, cost, ways, cost.cups);
    const { left } = soldAt(price, cost, ways, cost.cups);
    const hour = wage === null ? '' : `an hour of hands earns ${moneyText(wage, ways)}`;
    return left < 0
      ? `${hour}; each cup falls ${moneyText(-left, ways)} short of what it costs`
      : `${hour}; ${moneyText(left, ways)} a cup are left beyond all costs`;
  });
  protected readonly asked = computed(() => {
    const [cost, wage, ways] = [this.cost(), this.wish_(), this.money.ways()];
    return cost && wage !== null ? `${moneyText(priceForWage(wage, cost, ways, cost.cups), ways)} a cup` : '';
  });
  protected readonly savings = computed(() =>
    (this.shown()?.costed?.savings ?? [])
      .slice(0, 5)
      .map((one) => ({ says: savingText(one), saves: moneyText(one.saves, this.money.ways()) })),
  );

  constructor() {
    this.money.load();
  }

  protected count(cups: number | null): void {
    const sound = cups !== null && Number.isInteger(cups) && cups >= 1 && cups <= MOST;
    this.refused.set(sound ? null : `From 1 to ${MOST} whole cups at once.`);
    if (sound) this.cups.set(cups);
  }
}

const savingText = (saving: Saving): string =>
  saving.kind === 'twin'
    ? `${saving.instead} instead of ${saving.name}: ${differenceWords(saving.apart).word}`
    : `Without coat ${saving.number}, “${saving.title}”`;
