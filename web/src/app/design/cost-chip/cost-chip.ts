import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatDialog } from '@angular/material/dialog';
import { eachOf, moneyText } from '@aurantia/core/money';
import { catchError, debounceTime, map, of, switchMap } from 'rxjs';
import { BUTTONS } from '../../parts/buttons';
import { Costs } from '../../services/costs';
import { Money } from '../../services/money';
import { OpenDesign } from '../open-design';

/** ms without another change after which it is counted anew: a knob that is turned is counted once. */
const SETTLED = 500;

/** What a cup of the open design costs, and how much more or less than when it was opened; pressed, it tells of what. */
@Component({
  selector: 'au-cost-chip',
  imports: [BUTTONS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (told(); as told) {
      <button type="button" matButton class="laid" (click)="open()">
        <b>{{ told.each }}</b>
        <span>{{ told.says }}</span>
      </button>
    }
  `,
  styles: `
    button {
      display: grid;
      justify-items: start;
      padding: 0;
      text-align: left;
    }
    b {
      font: 700 1.1875rem/1.2 var(--title);
    }
    span {
      font-size: 0.7812rem;
      font-weight: 400;
      color: var(--on-night-soft);
      text-decoration: underline;
      text-underline-offset: 2px;
    }
    @media (pointer: coarse) {
      button {
        min-height: 44px;
      }
    }
  `,
})
export class CostChip {
  private readonly costs = inject(Costs);
  private readonly money = inject(Money);
  private readonly document = inject(OpenDesign).design;
  private readonly dialog = inject(MatDialog);

  private readonly wish = computed(() => ({ design: this.document(), prices: this.money.prices(), ready: this.money.loaded() }));
  private readonly cost = toSignal(
    toObservable(this.wish).pipe(
      debounceTime(SETTLED),
      switchMap(({ design, ready }) =>
        ready && design.coats.length > 0
          ? this.costs.of(design, [1]).pipe(
              map(({ costs: [cost] }) => ({ design: design.id as string, each: eachOf(cost) })),
              catchError(() => of(null)),
            )
          : of(null),
      ),
    ),
    { initialValue: null },
  );
  /** as the design was opened */
  private readonly first = linkedSignal<ReturnType<typeof this.cost>, ReturnType<typeof this.cost>>({
    source: this.cost,
    computation: (cost, before) =>
      before?.value && (cost === null || before.value.design === cost.design) ? before.value : cost,
  });
  protected readonly told = computed(() => {
    const [cost, first, ways] = [this.cost(), this.first(), this.money.ways()];
    if (!cost) return null;
    const by = first ? cost.each.total - first.each.total : 0;
    const unpriced = cost.each.unpriced.length > 0 ? ', without what has no price' : '';
    const change = Math.abs(by) < 0.005 ? '' : `, ${moneyText(Math.abs(by), ways)} ${by > 0 ? 'more' : 'less'} than as opened`;
    return { each: moneyText(cost.each.total, ways), says: `a cup costs${change || unpriced}` };
  });

  constructor() {
    if (!this.money.loaded()) this.money.load();
  }

  protected async open(): Promise<void> {
    const { CostDialog } = await import('../../places/week/money/cost-dialog');
    this.dialog.open(CostDialog, { width: '1040px', maxWidth: '96vw', ariaLabel: 'What a cup costs', data: this.document() });
  }
}
