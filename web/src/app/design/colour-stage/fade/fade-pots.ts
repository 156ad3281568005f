import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { fadeMeasure, potSpan, strewnSpan, surplusWords, type PlannedFade } from '@aurantia/core';
import { AmountPipe, SharePipe } from '../../../parts/fields/unit-pipes';
import { WorkshopMemory } from '../../../services/workshop';

/** Every pot of a fade: what goes into it by the spoon, and where it is strewn. */
@Component({
  selector: 'au-fade-pots',
  imports: [AmountPipe, SharePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fade-pots.html',
  styleUrl: './fade-pots.scss',
})
export class FadePots {
  private readonly memory = inject(WorkshopMemory);
  readonly planned = input.required<PlannedFade>();

  protected readonly measure = computed(() => fadeMeasure(this.planned()));
  protected readonly surplus = computed(() => surplusWords(this.planned(), this.memory.units()));
  protected readonly rows = computed(() => {
    const units = this.memory.units();
    return (this.planned().laid?.pots ?? []).map((pot, i) => ({
      pot,
      number: i + 1,
      full: Math.min(1, 0.35 + 0.65 * (pot.ml / Math.max(...(this.planned().laid?.pots ?? []).map(({ ml }) => ml)))),
      where: potSpan(pot, units),
      strewn: strewnSpan(pot, units),
    }));
  });
}
