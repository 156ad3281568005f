import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { durationText, type CoatId } from '@aurantia/core';
import {
  byCoat,
  byKind,
  costKindNames,
  costKinds,
  eachOf,
  isKnown,
  moneyText,
  type Cost,
  type MoneyWays,
} from '@aurantia/core/money';
import { BarsChart, type Bars } from '../bars/bars';
import { Choice } from '../fields/choice';

/** What cups cost: the sum, what it is made of by kind or by coat, what of it is lost, and what has no price. */
@Component({
  selector: 'au-cost',
  imports: [BarsChart, Choice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (known()) {
      <div class="sum">
        <p>
          <b>{{ each() }}</b> a cup
        </p>
        <p class="soft">{{ made() }}</p>
      </div>
      <au-choice label="Shown by" [options]="ways_" [value]="by()" (valueChange)="by.set($event)" />
      <au-bars [label]="by() === 'kind' ? 'What a cup costs, by kind' : 'What a cup costs, by coat'" [bars]="bars()" />
    }
    @if (cost().unpriced.length > 0) {
      <p class="unpriced" role="note">
        {{ known() ? 'Not in it, for nobody said their price' : 'Nobody said the price of anything in it' }}:
        {{ cost().unpriced.join(', ') }}.
      </p>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 12px;
    }
    .sum b {
      font: 800 1.75rem/1.1 var(--title);
    }
    .unpriced {
      color: var(--warn);
    }
  `,
})
export class CostView {
  readonly cost = input.required<Cost>();
  readonly ways = input.required<MoneyWays>();
  /** what coats are called */
  readonly titles = input.required<readonly { readonly coat: CoatId; readonly title: string }[]>();
  private readonly one = computed(() => eachOf(this.cost()));
  protected readonly known = computed(() => isKnown(this.cost()));
  protected readonly by = signal<'kind' | 'coat'>('kind');
  protected readonly ways_ = [
    { value: 'kind', name: 'Kind' },
    { value: 'coat', name: 'Coat' },
  ] as const;
  protected readonly each = computed(() => moneyText(this.one().total, this.ways()));
  protected readonly made = computed(() => {
    const { materials, wages, rejects, hours } = this.one();
    const of = (amount: number) => moneyText(amount, this.ways());
    const paid =
      wages === null ? 'hours not counted: they have no rate' : `${of(wages)} for ${durationText(hours * 60)} of hands`;
    return `${of(materials)} of materials, ${paid}${rejects > 0 ? `, ${of(rejects)} for cups that fail` : ''}.`;
  });
  protected readonly bars = computed<Bars>(() => (this.by() === 'kind' ? this.kinds() : this.coats()));

  private kinds(): Bars {
    const kinds = byKind(this.one());
    return {
      along: 'of a cup',
      names: kinds.map(({ kind }) => costKindNames[kind]),
      parts: [
        { name: 'on the cup', values: kinds.map(({ cost, lost }) => cost - lost) },
        { name: 'lost: pots, gloves, paper, rejects', values: kinds.map(({ lost }) => lost) },
      ],
      told: (value) => moneyText(value, this.ways()),
    };
  }

  private coats(): Bars {
    const rows = byCoat(this.one()).filter(({ cost }) => cost > 0);
    const kinds = costKinds.filter((kind) => rows.some((row) => (row.kinds[kind] ?? 0) > 0));
    return {
      along: 'of a cup',
      names: rows.map(({ coat }) => {
        const at = this.titles().findIndex((one) => one.coat === coat);
        return coat === null ? 'For no one coat' : `${at + 1} ${this.titles()[at]?.title ?? ''}`;
      }),
      parts: kinds.map((kind) => ({ name: costKindNames[kind], values: rows.map((row) => row.kinds[kind] ?? 0) })),
      told: (value) => moneyText(value, this.ways()),
    };
  }
}
