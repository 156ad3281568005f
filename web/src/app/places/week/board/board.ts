import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, model, output } from '@angular/core';
import { durationText } from '@aurantia/core';
import { jobText, timeOf, weekdayOf, type Board, type BoardSpan, type PlannedWork } from '@aurantia/core/week';
import { format } from 'date-fns';
import { Icon } from '../../../parts/icons/icon';
import { Tip } from '../../../parts/tip';
import { ZONE } from '../../../services/week';

/** Which step of which job is looked at. */
export interface StepAt {
  readonly job: string;
  readonly work: string;
}

const MINUTE = 60_000;
/** Beyond so large a share of what is shown a day’s name would be cut off. */
const NO_ROOM = 0.9;
const clock = (minute: number) => timeOf(minute, ZONE);
const moment = (minute: number) => `${weekdayOf(minute, ZONE)} ${clock(minute)}`;

/** A week drawn: hours across and cups down, as the workshop’s day has them. Arrows go from step to step. */
@Component({
  selector: 'au-board',
  imports: [Icon, Tip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './board.html',
  styleUrl: './board.scss',
  host: { '(keydown)': 'turn($event)' },
})
export class BoardView {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  readonly board = input.required<Board>();
  readonly chosen = model<StepAt | null>(null);
  readonly nameOf = input.required<(person: string) => string>();
  /** days that what is shown shall go on or back */
  readonly shifted = output<number>();
  /** back to where the day is */
  readonly home = output();

  // One picture that all cups have behind them: as elements of their own, nights would be most of a long week.
  protected readonly away = computed(() =>
    striped(
      this.board().away.map(({ from, to }) => [`${from * 100}%`, `${to * 100}%`]),
      'var(--nobody)',
    ),
  );
  protected readonly midnights = computed(() =>
    striped(
      this.board().days.map(({ share }) => [`${share * 100}%`, `calc(${share * 100}% + 1px)`]),
      'var(--midnight-line)',
    ),
  );
  protected readonly now = computed(() => left(this.board().now));
  protected readonly days = computed(() =>
    this.board().days.map(({ share, minute, day }) => ({
      day,
      left: left(share),
      name: share > NO_ROOM ? '' : format(minute * MINUTE, 'EEE d MMM'),
    })),
  );
  protected readonly hours = computed(() => this.board().hours.map(({ share, time }) => ({ left: left(share), time })));
  protected readonly rows = computed(() =>
    this.board().rows.map(({ planned, steps, due }) => ({
      id: planned.job.id,
      name: planned.job.name + (planned.job.cups > 1 ? ` × ${planned.job.cups}` : ''),
      who: planned.job.who,
      late: planned.late > 0,
      never: planned.whyNot !== null,
      ends: endsText(planned),
      due: left(due),
      dueName: planned.job.due === null ? '' : `due ${moment(planned.job.due)}`,
      steps: steps.map(({ planned: one, hands, wait, open, closing }) => ({
        key: one.work.key,
        pinned: one.pinned,
        label: `${one.work.titles.join(', then ')}, ${jobText(planned.job)}: ${this.told(one)}`,
        name: one.person === null || !this.several() ? '' : this.nameOf()(one.person),
        hands: hands && placed(hands),
        wait: wait && placed(wait),
        open: open && placed(open),
        closing: closing && placed(closing),
      })),
    })),
  );
  /** more than one person works: then a step says whose hands it takes */
  private readonly several = computed(() => {
    const people = this.board().rows.flatMap(({ planned }) => planned.works.flatMap(({ person }) => person ?? []));
    return new Set(people).size > 1;
  });
  /** the one step that the tab key stops at */
  protected readonly stop = computed(() => {
    const all = this.rows().flatMap(({ id, steps }) =>
      steps.filter(({ hands }) => hands).map(({ key }) => ({ job: id, work: key })),
    );
    const chosen = this.chosen();
    return all.find(({ job, work }) => job === chosen?.job && work === chosen.work) ?? all.at(0) ?? null;
  });

  protected choose(job: string, work: string): void {
    this.chosen.set({ job, work });
  }

  /** Arrows within a cup and from cup to cup; page keys turn the days, home goes back to now. */
  protected turn(event: KeyboardEvent): void {
    const to = { PageUp: -1, PageDown: 1 }[event.key];
    if (to !== undefined) this.shifted.emit(to);
    else if (event.key === 'Home') this.home.emit();
    else if (!this.step(event.key)) return;
    event.preventDefault();
  }

  private step(key: string): boolean {
    const focused = this.host.nativeElement.querySelector<HTMLElement>('button.hands:focus');
    const rows = [...this.host.nativeElement.querySelectorAll('li')].map((row) => [
      ...row.querySelectorAll<HTMLElement>('button.hands'),
    ]);
    const row = rows.findIndex((steps) => focused !== null && steps.includes(focused));
    if (row < 0 || focused === null) return false;
    const at = rows[row].indexOf(focused);
    const across = { ArrowLeft: -1, ArrowRight: 1 }[key];
    const down = { ArrowUp: -1, ArrowDown: 1 }[key];
    if (across !== undefined) rows[row].at(Math.max(0, Math.min(rows[row].length - 1, at + across)))?.focus();
    else if (down !== undefined) nearestIn(rows, row + down, down, focused)?.focus();
    else return false;
    return true;
  }

  private told({ at, laid, ready, closes, person }: PlannedWork): string {
    const who = person === null ? '' : `, ${this.nameOf()(person)}`;
    const then = ready > laid ? `, ready ${moment(ready)}` : '';
    return `${moment(at)}–${clock(laid)}${who}${then}${closes === null ? '' : `, next before ${moment(closes)}`}`;
  }
}

/** The step of the next row that has any, nearest to where one comes from. */
function nearestIn(rows: readonly HTMLElement[][], from: number, step: number, to: HTMLElement): HTMLElement | null {
  for (let row = from; row >= 0 && row < rows.length; row += step) {
    const off = (one: HTMLElement) => Math.abs(one.getBoundingClientRect().left - to.getBoundingClientRect().left);
    const [nearest] = [...rows[row]].sort((one, other) => off(one) - off(other));
    if (nearest) return nearest;
  }
  return null;
}

const left = (share: number | null): string | null => (share === null ? null : `${share * 100}%`);
const placed = ({ from, to }: BoardSpan) => ({ left: `${from * 100}%`, width: `${(to - from) * 100}%` });

/** A background of stretches of one colour, each from and to, in their order. */
const striped = (stretches: readonly (readonly [from: string, to: string])[], colour: string): string =>
  `linear-gradient(90deg, transparent 0${stretches.map(([from, to]) => `, transparent ${from}, ${colour} ${from} ${to}, transparent ${to}`).join('')}, transparent 100%)`;

function endsText({ done, late, whyNot }: Board['rows'][number]['planned']): string {
  if (whyNot) return 'can’t be planned';
  if (done === null) return '';
  return late > 0 ? `${durationText(late)} late` : `done ${moment(done)}`;
}
