import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { countText, inksOf, lengthText, percentText, type CoatOf, type Design } from '@aurantia/core';
import { flowFigures, headsText, meetingWords, type OtherWay, type StringFlow } from '@aurantia/core/string-flow';
import { catchError, debounceTime, EMPTY, startWith, switchMap } from 'rxjs';
import { BUTTONS } from '../../../parts/buttons';
import { Slider } from '../../../parts/fields/slider';
import { Waiting } from '../../../parts/waiting';
import { Notices } from '../../../services/notices';
import { RunningStrings } from '../../../services/running-strings';
import { WorkshopMemory } from '../../../services/workshop';
import { OpenDesign } from '../../open-design';
import { FlowPictureView } from './flow-picture-view';

/** ms without a change before they run anew. */
const QUIET = 400;

/** How strings run once they are laid, moment by moment, and what they would come to laid otherwise. */
@Component({
  selector: 'au-string-flow',
  imports: [BUTTONS, FlowPictureView, Slider, Waiting],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './string-flow.html',
  styleUrl: './string-flow.scss',
})
export class StringFlowPanel {
  private readonly running = inject(RunningStrings);
  private readonly notices = inject(Notices);
  private readonly memory = inject(WorkshopMemory);
  private readonly plan = inject(OpenDesign).plan;
  readonly coat = input.required<CoatOf<'strings'>>();
  readonly design = input.required<Design>();

  /** the design whose strings somebody has stopped; another one runs again */
  protected readonly stopped = linkedSignal<Design, boolean>({ source: this.design, computation: () => false });
  private readonly asked = computed(() => ({ design: this.design(), coat: this.coat().id, stopped: this.stopped() }));
  protected readonly flow = toSignal<StringFlow | null>(
    toObservable(this.asked).pipe(
      debounceTime(QUIET),
      switchMap(({ design, coat, stopped }) =>
        stopped
          ? EMPTY
          : this.running.flow(design, coat).pipe(
              catchError((error: unknown) => {
                this.notices.failed(error);
                return EMPTY;
              }),
              startWith(null),
            ),
      ),
    ),
  );
  protected readonly moments = computed(() => this.flow()?.moments ?? []);
  /** which moment is looked at: the last one known, until another is chosen */
  protected readonly chosen = signal<number | null>(null);
  protected readonly at = computed(() => Math.min(this.chosen() ?? Infinity, this.moments().length - 1));
  protected readonly moment = computed(() => this.moments().at(Math.max(0, this.at())) ?? null);
  protected readonly when = computed(() => {
    const moment = this.moment();
    if (moment === null) return '';
    if (moment.minutes === 0) return 'as laid';
    const still = this.flow()?.over === true && moment === this.moments().at(-1);
    return `${countText(moment.minutes, 'minute')} later${still ? ', when it lies still' : ''}`;
  });

  protected readonly figures = computed(() => {
    const moment = this.moment();
    return moment === null
      ? []
      : flowFigures(this.coat(), moment.measures, inksOf(this.coat()).length, this.memory.settings().units);
  });

  /** every two pots, and whether they may be wet together */
  protected readonly meetings = computed(() => {
    const planned = this.plan().coats.find(({ id }) => id === this.coat().id);
    return (planned?.strings?.meetings ?? []).map((meeting) => ({
      ...meeting,
      names: meeting.pots.map((at) => planned?.drops.at(at)?.ink).join(' and '),
      words: meetingWords(meeting),
    }));
  });

  /** the design whose other ways are compared; null until somebody asks */
  protected readonly comparing = linkedSignal<Design, boolean>({ source: this.design, computation: () => false });
  private readonly compared = computed(() => (this.comparing() ? { design: this.design(), coat: this.coat().id } : null));
  protected readonly ways = toSignal(
    toObservable(this.compared).pipe(
      switchMap((asked) =>
        asked === null
          ? [null]
          : this.running.ways(asked.design, asked.coat).pipe(
              catchError((error: unknown) => {
                this.notices.failed(error);
                return EMPTY;
              }),
              startWith(null),
            ),
      ),
    ),
  );
  protected readonly rows = computed(() => (this.ways()?.ways ?? []).map((way) => this.rowOf(way)));

  private rowOf({ name, measures }: OtherWay) {
    if (measures === null) return { name, covers: '…', wide: '…', heads: '…' };
    const { units } = this.memory.settings();
    return {
      name,
      covers: percentText(measures.covers),
      wide: measures.wide === null ? 'none' : lengthText(measures.wide, units),
      heads: headsText(measures.heads),
    };
  }

  protected progress(): string {
    return percentText(this.flow()?.progress ?? 0);
  }
}
