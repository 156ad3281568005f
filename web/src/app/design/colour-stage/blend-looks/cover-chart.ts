import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { amountText, coverAt, coverCurve, percentText, type PlannedBlend } from '@aurantia/core';
import { CurveChart, type Curve } from '../../../parts/curve/curve';
import { WorkshopMemory } from '../../../services/workshop';

/** How cover grows with what is poured of a blend, where it is now, and where no gap shows any more. */
@Component({
  selector: 'au-cover-chart',
  imports: [CurveChart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<au-curve label="Cover against what is poured" [curve]="curve()" />`,
})
export class CoverChart {
  private readonly memory = inject(WorkshopMemory);
  readonly blend = input.required<PlannedBlend>();
  protected readonly curve = computed<Curve>(() => {
    const blend = this.blend();
    const perMl = blend.ml > 0 ? blend.grams / blend.ml : 1;
    const { ml, share } = blend.forCover;
    return {
      along: 'each pour',
      up: 'covered',
      points: coverCurve(blend).map((point) => ({ x: point.ml, y: point.cover })),
      marks: [
        { name: 'now', x: blend.ml, y: coverAt(blend, blend.ml) },
        ...(ml === null ? [] : [{ name: 'no gap shows', x: ml, y: share }]),
      ],
      told: { x: (value) => amountText(value, this.memory.units(), perMl), y: (value) => percentText(value) },
      top: 1,
      steps: false,
    };
  });
}
