import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { differenceWords, UNSEEN_STEP, type PlannedPot } from '@aurantia/core';
import { CurveChart, type Curve } from '../../../parts/curve/curve';

/** How far apart each pot is from the one before, beside what is seen from arm's length. */
@Component({
  selector: 'au-steps-chart',
  imports: [CurveChart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<au-curve label="Difference from pot to pot" [curve]="curve()" />`,
})
export class StepsChart {
  /** three at least: fewer make no line */
  readonly pots = input.required<readonly PlannedPot[]>();
  protected readonly curve = computed<Curve>(() => {
    const points = this.pots().flatMap(({ apart }, i) => (apart === null ? [] : [{ x: i + 1, y: apart }]));
    const widest = points.reduce((most, point) => (point.y > most.y ? point : most));
    return {
      along: 'pot, against the one before',
      up: 'ΔE',
      points,
      marks: [{ name: 'widest step', ...widest }],
      told: {
        x: (value) => (Number.isInteger(value) ? `pot ${value}` : ''),
        y: (value) => `${value.toFixed(1)}, ${differenceWords(value).word}`,
      },
      axis: { y: (value) => String(value) },
      limit: { y: UNSEEN_STEP, name: `not seen from arm’s length below ${UNSEEN_STEP}` },
      top: null,
      steps: false,
    };
  });
}
