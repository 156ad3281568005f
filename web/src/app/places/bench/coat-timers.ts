import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Bench, BenchCoat, BenchTimer } from '@aurantia/core/make';
import { countdownText, momentText } from '../../parts/moment-text';
import { sameRows } from '../../parts/same-rows';
import { WorkshopTime } from '../../services/workshop-time';

interface TimerRow {
  readonly name: string;
  readonly reads: string;
  readonly then: string | null;
  readonly state: 'ahead' | 'over' | 'runs' | 'soon';
}

/** What runs, second by second, and what will: the one thing at the bench that changes each second, so that nothing else is drawn for it. */
@Component({
  selector: 'au-coat-timers',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (timers().length > 0) {
      <ul class="tiles timers" aria-label="Times">
        @for (timer of timers(); track timer.name) {
          <li [class]="timer.state">
            <span>{{ timer.name }}</span>
            <b>
              @if (timer.state === 'runs' || timer.state === 'soon') {
                <time>{{ timer.reads }}</time>
              } @else {
                {{ timer.reads }}
              }
            </b>
            @if (timer.then) {
              <small>{{ timer.then }}</small>
            }
          </li>
        }
      </ul>
    }
  `,
  styleUrls: ['./tiles.scss', './coat-timers.scss'],
})
export class CoatTimers {
  private readonly time = inject(WorkshopTime);
  readonly bench = input.required<Bench>();
  /** the coat that is being done, or comes next */
  readonly coat = input.required<BenchCoat | null>();

  protected readonly timers = computed<readonly TimerRow[]>(
    () => {
      const { timers } = this.bench();
      return timers.length > 0 ? timers.map((timer) => rowOf(timer, this.time.now())) : this.ahead();
    },
    { equal: sameRows },
  );
  private readonly ahead = computed<readonly TimerRow[]>(() => {
    const step = this.coat()?.step;
    const ahead = (name: string, minutes: number | null | undefined): readonly TimerRow[] =>
      minutes ? [{ name, reads: `${minutes} min`, then: null, state: 'ahead' }] : [];
    return [
      ...ahead('Stir', step?.stir),
      ...ahead(step?.mix ? 'On the cup within' : 'Glitter on it within', step?.within),
      ...ahead('Look again after', step?.look),
    ];
  });
}

function rowOf({ name, counts, until, then }: BenchTimer, now: number): TimerRow {
  const at = momentText(until, now);
  if (now >= until) return { name: name.replace(/ in$/, ''), reads: then, then: `since ${at}`, state: 'over' };
  return {
    name,
    reads: countdownText(until - now),
    then: counts === 'for' ? `until ${at}` : `at ${at}`,
    state: until - now < 60_000 ? 'soon' : 'runs',
  };
}
