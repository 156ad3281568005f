import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Plan } from '@aurantia/core';
import { AmountPipe, MinutesPipe } from '../../parts/fields/unit-pipes';
import { CoatAmounts } from '../coat-amounts/coat-amounts';

/** Everything to measure: the whole shopping first, then coat by coat. */
@Component({
  selector: 'au-amounts-stage',
  imports: [CoatAmounts, AmountPipe, MinutesPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './amounts-stage.html',
  styleUrl: './amounts-stage.scss',
})
export class AmountsStage {
  readonly plan = input.required<Plan>();
  protected readonly measured = computed(() =>
    this.plan().coats.flatMap((coat, index) => (coat.mix || coat.pours.length > 0 ? [{ coat, number: index + 1 }] : [])),
  );
}
