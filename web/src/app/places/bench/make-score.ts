import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { fahrenheitOf, temperatureText } from '@aurantia/core';
import { repeatScore, type Repeats, type RoomMoment } from '@aurantia/core/make';
import { catchError, combineLatest, of, switchMap } from 'rxjs';
import { CurveChart, type Curve } from '../../parts/curve/curve';
import { Makes, type LoggedMake } from '../../services/makes';
import { Notices } from '../../services/notices';
import { WorkshopMemory } from '../../services/workshop';
import { WorkshopTime } from '../../services/workshop-time';
import { momentText } from '../../parts/moment-text';

const NOTHING: { readonly room: readonly RoomMoment[]; readonly repeats: Repeats } = { room: [], repeats: [] };

/** How near a make is to its recipe, what took it away from it, what the room was like, and how the others of its design came out. */
@Component({
  selector: 'au-make-score',
  imports: [CurveChart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (score(); as score) {
      <div class="score">
        <p>
          <b>{{ score.score }}</b> of 100
        </p>
        <div>
          <h3>How near it is to its recipe: {{ score.words }}</h3>
          @for (says of reasons(); track says) {
            <p>{{ says }}</p>
          } @empty {
            <p>Measured, laid and waited for as planned.</p>
          }
        </div>
      </div>
    }
    <div class="charts">
      @if (room(); as curve) {
        <section aria-label="The room meanwhile">
          <h3>The room meanwhile</h3>
          <au-curve [curve]="curve" label="Degrees in the room while it was made" />
        </section>
      }
      @if (history(); as curve) {
        <section aria-label="Makes of this design">
          <h3>Makes of this design</h3>
          <au-curve [curve]="curve" label="How near each make of this design is to its recipe" />
        </section>
      }
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 16px;
      margin-bottom: 18px;
    }
    .score {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 26px;
      align-items: center;
    }
    .score b {
      font: 800 3.5rem/1 var(--title);
    }
    h3 {
      margin: 0 0 4px;
      font: 700 1.125rem/1.2 var(--title);
    }
    p {
      margin: 0;
    }
    .charts {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(100%, 300px), 1fr));
      gap: 20px;
    }
  `,
})
export class MakeScore {
  private readonly makes = inject(Makes);
  private readonly notices = inject(Notices);
  private readonly memory = inject(WorkshopMemory);
  private readonly time = inject(WorkshopTime);
  readonly logged = input.required<LoggedMake>();

  private readonly told = toSignal(
    toObservable(this.logged).pipe(
      switchMap(({ make }) =>
        combineLatest({ room: this.makes.room(make.id), repeats: this.makes.repeats(make.id) }).pipe(
          catchError((error: unknown) => {
            this.notices.failed(error);
            return of(NOTHING);
          }),
        ),
      ),
    ),
    { initialValue: NOTHING },
  );
  protected readonly score = computed(() => {
    const { make, entries } = this.logged();
    return repeatScore(make, entries, this.told().room, this.memory.settings().units);
  });
  protected readonly reasons = computed(() =>
    (this.score()?.distances ?? []).map(({ says }) => says).filter((says) => says !== ''),
  );

  protected readonly room = computed<Curve | null>(() => {
    const { room } = this.told();
    if (room.length < 2) return null;
    const { units } = this.memory.settings();
    const { celsius } = this.logged().make.settings;
    const all = [...room.map((moment) => moment.celsius), celsius];
    const points = room.map((moment) => ({ x: moment.at, y: moment.celsius }));
    return {
      along: 'when',
      up: units.temperature === 'celsius' ? '°C' : '°F',
      points,
      marks: [],
      told: { x: (at) => momentText(at, this.time.minute()), y: (degrees) => temperatureText(degrees, units) },
      axis: { y: (degrees) => String(units.temperature === 'celsius' ? degrees : Math.round(fahrenheitOf(degrees))) },
      top: Math.ceil(Math.max(...all) + 0.5),
      bottom: Math.floor(Math.min(...all) - 0.5),
      limit: { y: celsius, name: `planned for ${temperatureText(celsius, units)}` },
      steps: false,
    };
  });
  protected readonly history = computed<Curve | null>(() => {
    const scored = this.told().repeats.flatMap(({ number, score }) => (score === null ? [] : [{ x: number, y: score }]));
    if (scored.length < 2) return null;
    const own = scored.find(({ x }) => x === this.logged().make.number);
    return {
      along: 'make',
      up: 'of 100',
      points: scored,
      marks: own ? [{ ...own, name: 'this one' }] : [],
      told: { x: (number) => (Number.isInteger(number) ? `make ${number}` : ''), y: (score) => String(Math.round(score)) },
      top: 100,
      steps: false,
    };
  });
}
