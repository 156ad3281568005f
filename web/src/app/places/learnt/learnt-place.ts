import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  countText,
  learntFigure,
  learntTitle,
  learntUnit,
  percentText,
  rangeOf,
  readingText,
  type NamedLearnt,
} from '@aurantia/core';
import { BUTTONS } from '../../parts/buttons';
import { CurveChart, type Curve } from '../../parts/curve/curve';
import { LearntMemory } from '../../services/learnt';
import { WorkshopMemory } from '../../services/workshop';
import { WorkshopTime } from '../../services/workshop-time';
import { momentText } from '../../parts/moment-text';

/** What weighings taught of glues, bottles, resins and hands, and how sure it made them. */
@Component({
  selector: 'au-learnt-place',
  imports: [BUTTONS, CurveChart, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './learnt-place.html',
  styleUrl: './learnt-place.scss',
})
export class LearntPlace {
  private readonly workshop = inject(WorkshopMemory);
  private readonly time = inject(WorkshopTime);
  protected readonly memory = inject(LearntMemory);

  protected readonly all = computed(() => this.memory.all()?.map((learnt) => this.cardOf(learnt)) ?? null);

  constructor() {
    this.time.watch();
    this.memory.load();
  }

  private cardOf(learnt: NamedLearnt) {
    const { of, about, before, now, readings, makes } = learnt;
    const counted = readings.filter(({ state }) => state === 'counts').length;
    const figure = (value: number) => learntFigure(about, value);
    const { units } = this.workshop.settings();
    return {
      of,
      title: learntTitle(learnt),
      now: `${figure(now.value)} ± ${percentText(now.spread)}`,
      from: counted === 0 ? 'no weighing counts yet' : `from ${countText(counted, 'weighing')}`,
      before: `${figure(before.value)} ± ${percentText(before.spread)} before any`,
      curve: curveOf(learnt),
      label: `${learntTitle(learnt)}, after each weighing`,
      asked: readings.some(({ state }) => state === 'asked'),
      readings: readings
        .map(({ id, at, reading, state, said, off }) => ({
          id,
          when: momentText(Date.parse(at), this.time.minute()),
          says: readingText(reading, units),
          make: makes[id],
          state,
          said,
          off: off.toFixed(1),
        }))
        .reverse(),
    };
  }
}

/** What was known after each reading, with one standard deviation either way. */
function curveOf({ about, course }: NamedLearnt): Curve {
  const scale = about === 'glove' ? 100 : 1;
  const points = course.map(({ value }, x) => ({ x, y: scale * value }));
  const told = (value: number) => learntFigure(about, value / scale);
  return {
    along: 'weighings',
    up: learntUnit[about],
    points,
    band: course.map((belief, x) => {
      const [low, high] = rangeOf(belief);
      return { x, low: scale * low, high: scale * high };
    }),
    marks: [],
    told: { x: (value) => (Number.isInteger(value) ? String(value) : ''), y: told },
    axis: { y: (value) => String(Number(value.toPrecision(3))) },
    top: null,
    steps: false,
  };
}
