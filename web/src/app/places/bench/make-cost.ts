import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { eachOf, earnedBy, isKnown, moneyText, plannedCost, realCost } from '@aurantia/core/money';
import { CostView } from '../../parts/cost-view/cost-view';
import type { LoggedMake } from '../../services/makes';
import { Money } from '../../services/money';
import { Orders } from '../../services/orders';

/** What a make really cost so far, beside its plan; and, where it was ordered, what an hour of it earned. */
@Component({
  selector: 'au-make-cost',
  imports: [CostView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-label="What it cost">
      <h3>What it cost so far</h3>
      @if (says(); as text) {
        <p>{{ text }}</p>
      }
      @if (earned(); as text) {
        <p>{{ text }}</p>
      }
      <au-cost [cost]="real()" [ways]="money.ways()" [titles]="titles()" />
    </section>
  `,
  styles: `
    section {
      display: grid;
      gap: 8px;
      max-width: 640px;
      margin-bottom: 18px;
    }
  `,
})
export class MakeCost {
  protected readonly money = inject(Money);
  private readonly orders = inject(Orders);
  readonly logged = input.required<LoggedMake>();
  private readonly prices = computed(() => ({ ...this.money.prices(), failing: 0 }));
  protected readonly titles = computed(() => this.logged().make.steps.map(({ coat, title }) => ({ coat, title })));
  protected readonly real = computed(() => realCost(this.logged().make, this.logged().entries, this.prices()));
  protected readonly says = computed(() => {
    // Where nothing has a price, what there is says so.
    if (!isKnown(this.real())) return '';
    const planned = eachOf(plannedCost(this.logged().make, this.prices()));
    return `${moneyText(eachOf(this.real()).total, this.money.ways())} a cup by what is written here, of ${moneyText(planned.total, this.money.ways())} planned. Cups that fail aren’t in it: this one is made.`;
  });
  protected readonly earned = computed(() => {
    const order = this.orders.all().find(({ makes }) => makes.includes(this.logged().make.id));
    if (!order || order.price === null) return '';
    const { price, left, wage } = earnedBy(order.price / order.cups, this.real(), this.money.ways());
    const ways = this.money.ways();
    return `Ordered at ${moneyText(price, ways)} a cup: ${wage === null ? '' : `an hour of hands earned ${moneyText(wage, ways)}, and `}${moneyText(left, ways)} a cup ${left < 0 ? 'are missing' : 'are left'} once fees, postage and hours are paid.`;
  });

  constructor() {
    this.money.load();
    this.orders.load();
  }
}
