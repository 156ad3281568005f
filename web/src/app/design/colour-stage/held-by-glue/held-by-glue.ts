import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { heldByWays, type PlannedBlend } from '@aurantia/core';
import { AmountPipe, SharePipe } from '../../../parts/fields/unit-pipes';
import { WorkshopMemory } from '../../../services/workshop';
import { Word } from '../../../parts/word/word';

/** What each way of glue would hold of this blend's pour, and how long it stays soft. */
@Component({
  selector: 'au-held-by-glue',
  imports: [AmountPipe, SharePipe, Word],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">
      One pour of {{ blend().ml | amount: perMl() }} on each glue: what sticks, and the excess that goes back to its jars.
    </p>
    <table class="told">
      <thead>
        <tr>
          <th scope="col">Glue</th>
          <th scope="col" class="num"><au-word of="deep">Holds</au-word></th>
          <th scope="col" class="num">Sticks</th>
          <th scope="col" class="num"><au-word of="excess">Excess</au-word></th>
          <th scope="col" class="num">Left bare</th>
          <th scope="col"><au-word of="working time">Working time</au-word></th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.way) {
          <tr [class.against]="row.against">
            <th scope="row">
              {{ row.title }}
              @if (row.against) {
                <small>{{ row.against }}</small>
              }
            </th>
            <td class="num">{{ row.holds }}</td>
            <td class="num">
              <b>{{ row.lands | amount: perMl() }}</b>
            </td>
            <td class="num">
              <span class="bar" aria-hidden="true"><i [style.width.%]="100 * row.castOff"></i></span>{{ row.castOff | share }}
            </td>
            <td class="num">{{ row.bare | share: 1 }}</td>
            <td>{{ row.openFor }}</td>
          </tr>
        }
      </tbody>
    </table>
    <p class="soft">Usual values; a glue on the shelf counts with its own. Weighing a cup before and after sets them right.</p>
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    small {
      display: block;
      color: var(--warn);
      font-weight: 400;
    }
    .against td {
      color: var(--soft);
    }
    abbr {
      text-decoration: none;
    }
    .bar {
      display: inline-block;
      width: 34px;
      height: 8px;
      margin-right: 6px;
      border-radius: 3px;
      background: var(--line);
      overflow: hidden;
    }
    .bar i {
      display: block;
      height: 100%;
      background: var(--plum);
    }
  `,
})
export class HeldByGlue {
  private readonly memory = inject(WorkshopMemory);
  readonly blend = input.required<PlannedBlend>();
  protected readonly rows = computed(() =>
    heldByWays(this.blend(), this.memory.shelf()).map((row) => ({
      ...row,
      holds: row.hold === null ? 'all' : String(Number(row.hold.toFixed(2))),
    })),
  );
  protected readonly perMl = computed(() => (this.blend().ml > 0 ? this.blend().grams / this.blend().ml : 1));
}
