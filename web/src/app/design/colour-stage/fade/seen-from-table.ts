import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { SeenFrom } from '@aurantia/core';
import { Word } from '../../../parts/word/word';

/** A fade at three distances, in words and ΔE00. */
@Component({
  selector: 'au-seen-from',
  imports: [Word],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table class="told">
      <thead>
        <tr>
          <th scope="col">From</th>
          <th scope="col" class="num">All of it, <au-word of="ΔE">ΔE00</au-word></th>
          <th scope="col" class="num">Pot to pot, at most</th>
          <th scope="col">To the eye</th>
        </tr>
      </thead>
      <tbody>
        @for (row of seen(); track row.metres) {
          <tr>
            <th scope="row">{{ row.metres }} m</th>
            <td class="num">{{ row.span.toFixed(0) }}</td>
            <td class="num">{{ row.step.toFixed(1) }}</td>
            <td>{{ row.says }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
})
export class SeenFromTable {
  readonly seen = input.required<readonly SeenFrom[]>();
}
