import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { AmountPipe, MinutesPipe } from '../../parts/fields/unit-pipes';
import { CoatAmounts } from '../coat-amounts/coat-amounts';
import { OpenDesign } from '../open-design';

/** Everything to measure: the whole shopping first, then coat by coat. */
@Component({
  selector: 'au-amounts-stage',
  imports: [CoatAmounts, AmountPipe, MinutesPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './amounts-stage.html',
  styleUrl: './amounts-stage.scss',
})
export class AmountsStage {
  protected readonly plan = inject(OpenDesign).plan;
  protected readonly measured = computed(() =>
    this.plan().coats.flatMap((coat, index) => (coat.mix || coat.pours.length > 0 ? [{ coat, number: index + 1 }] : [])),
  );
}
