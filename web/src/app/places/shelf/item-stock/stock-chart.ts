import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { LedgerEntry } from '@aurantia/core';
import { CurveChart, type Curve } from '../../../parts/curve/curve';

const day = new Intl.DateTimeFormat('en', { day: 'numeric', month: 'short' });

/** What was left of a jar, count by count. */
@Component({
  selector: 'au-stock-chart',
  imports: [CurveChart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<au-curve label="What was left, count by count" [curve]="curve()" />`,
})
export class StockChart {
  /** the latest first; two counts at least */
  readonly entries = input.required<readonly (LedgerEntry & { readonly left: number })[]>();
  readonly counted = input.required<string>();
  protected readonly curve = computed<Curve>(() => ({
    along: 'when',
    up: `${this.counted()} left`,
    points: this.entries()
      .map(({ at, left }) => ({ x: Date.parse(at), y: left }))
      .reverse(),
    marks: [],
    told: { x: (value) => day.format(new Date(value)), y: (value) => String(Number(value.toFixed(1))) },
    top: null,
    steps: true,
  }));
}
