import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { countText, listText } from '@aurantia/core';
import { buyCsv, buyText, takesText, toBuyText } from '@aurantia/core/make';
import { leftOver, weekNeeds } from '@aurantia/core/week';
import { format } from 'date-fns';
import { BUTTONS } from '../../../parts/buttons';
import { CurveChart, type Curve } from '../../../parts/curve/curve';
import { saveText } from '../../../services/save-file';
import { Week } from '../../../services/week';
import { WorkshopMemory } from '../../../services/workshop';
import { WeekTabs } from '../week-tabs';

/** ms that are told by the hour. */
const SHORT = 6 * 86_400_000;

/** What all that is planned takes from the shelf, which day what runs out, and what is left over the weeks. */
@Component({
  selector: 'au-stock-page',
  imports: [BUTTONS, CurveChart, RouterLink, WeekTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './stock-page.html',
  styleUrl: './stock-page.scss',
})
export class StockPage {
  private readonly week = inject(Week);
  private readonly memory = inject(WorkshopMemory);

  private readonly needs = computed(() => {
    const [plan, data] = [this.week.plan(), this.week.data()];
    return plan && data ? weekNeeds(plan, data.takes, this.memory.shelf()) : null;
  });
  protected readonly loaded = computed(() => this.needs() !== null);
  protected readonly rows = computed(() =>
    (this.needs() ?? []).map((need) => ({
      item: need.item as string,
      name: need.name,
      takes: takesText(need),
      lacks: need.short > 0 ? `${toBuyText(need)} to buy` : '',
      runsOut: need.out ? `runs out ${format(need.out.due, 'EEE d MMM, HH:mm')}, at ${need.out.at}` : `for ${listText(need.by)}`,
    })),
  );
  protected readonly chosen = signal<string | null>(null);
  protected readonly shown = computed(() => this.rows().find(({ item }) => item === this.chosen()) ?? this.rows().at(0) ?? null);
  protected readonly says = computed(() => {
    const short = this.rows().filter(({ lacks }) => lacks !== '').length;
    if (this.rows().length === 0) return 'Nothing is planned that takes anything from the shelf.';
    return short === 0
      ? 'There is enough of everything for all that is planned.'
      : `${countText(short, 'jar')} won’t last for all that is planned.`;
  });
  protected readonly buys = computed(() => this.rows().some(({ lacks }) => lacks !== ''));
  protected readonly curve = computed((): Curve | null => {
    const [plan, data] = [this.week.plan(), this.week.data()];
    const item = this.memory.shelf().find(({ id }) => id === this.shown()?.item);
    if (!plan || !data || !item || item.left === null) return null;
    const falls = leftOver(plan, data.takes, item);
    const points = [{ x: data.now, y: item.left }, ...falls.map(({ at, left }) => ({ x: Math.max(at, data.now), y: left }))];
    const last = points.at(-1);
    if (!last || points.length < 2) return null;
    const unit = item.kind === 'film' ? 'sheets' : 'ml';
    return {
      along: 'when it is taken',
      up: `${unit} left`,
      points: [...points, { x: last.x + 12 * 3_600_000, y: last.y }],
      marks: [],
      told: {
        x: (at) => format(at, last.x - data.now < SHORT ? 'EEE HH:mm' : 'EEE d MMM'),
        y: (left) => `${Number(left.toFixed(1))} ${unit}`,
      },
      axis: { y: (left) => String(Number(left.toFixed(1))) },
      top: null,
      ...(last.y < 0 ? { bottom: Math.floor(last.y), limit: { y: 0, name: 'the jar is empty' } } : {}),
      steps: true,
    };
  });

  constructor() {
    this.week.load();
  }

  protected saveList(): void {
    saveText('to-buy.txt', buyText(this.needs() ?? []), 'text/plain');
  }

  protected saveTable(): void {
    saveText('to-buy.csv', buyCsv(this.needs() ?? []), 'text/csv');
  }
}
