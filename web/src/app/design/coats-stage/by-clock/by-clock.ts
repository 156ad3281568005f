import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { durationText } from '@aurantia/core';
import { bestBegin, timelineOf, tracksOf, type Stretch } from '@aurantia/core/timeline';
import { format, parseISO } from 'date-fns';
import { BUTTONS } from '../../../parts/buttons';
import { DateField } from '../../../parts/fields/date-field';
import { TextField } from '../../../parts/fields/text-field';
import { Icon } from '../../../parts/icons/icon';
import { WorkshopMemory } from '../../../services/workshop';
import { OpenDesign } from '../../open-design';

const CLOCK = /^([01]?\d|2[0-3])[:.]([0-5]\d)$/;
const STEP = 5 * 60_000;

/** The coats by the clock: when hands are on, what waits, when a window closes, and which begin misses none. */
@Component({
  selector: 'au-by-clock',
  imports: [BUTTONS, DateField, Icon, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './by-clock.html',
  styleUrl: './by-clock.scss',
})
export class ByClock {
  private readonly memory = inject(WorkshopMemory);
  private readonly plan = inject(OpenDesign).plan;

  protected readonly begin = signal(soon());
  protected readonly day = computed(() => format(this.begin(), 'yyyy-MM-dd'));
  protected readonly time = computed(() => format(this.begin(), 'HH:mm'));
  protected readonly wrong = linkedSignal<Date, string | null>({ source: this.begin, computation: () => null });
  protected readonly hours = this.memory.settings;

  private readonly timeline = computed(() => timelineOf(this.plan().coats, this.begin(), this.hours()));
  private readonly tracks = computed(() => tracksOf(this.timeline(), this.hours()));
  protected readonly nights = computed(() => this.tracks().nights.map(placed));
  protected readonly days = computed(() =>
    this.tracks().days.map(({ share, day }) => ({ left: `${share * 100}%`, name: format(day, 'EEE d') })),
  );
  protected readonly rows = computed(() => {
    const { rows } = this.tracks();
    return this.timeline().coats.map(({ coat, begins, laid, ready, closes, idle, missed }, i) => ({
      id: coat.id,
      number: i + 1,
      title: coat.title,
      hands: placed(rows[i].hands),
      wait: placed(rows[i].wait),
      window: rows[i].window && placed(rows[i].window),
      when: coat.handsOn > 0 ? `${format(begins, 'EEE HH:mm')}–${format(laid, 'HH:mm')}` : format(begins, 'EEE HH:mm'),
      then: coat.wait.minutes > 0 ? `ready ${format(ready, 'EEE HH:mm')}` : 'go on at once',
      nextBefore: closes && `next before ${format(closes, 'EEE HH:mm')}`,
      idle: idle >= 60 ? `stands ${durationText(idle)} till somebody is up` : null,
      missed,
    }));
  });
  protected readonly line = computed(() => {
    const { done, missed, begins } = this.timeline();
    const windows = missed === 0 ? 'No window closes while everybody sleeps.' : missedText(missed);
    return { done: format(done, 'EEEE d MMMM, HH:mm'), begins: format(begins, 'EEEE d MMMM, HH:mm'), windows, missed };
  });
  /** a begin that misses fewer windows, or is done earlier; null when this one is as good */
  protected readonly better = computed(() => {
    const now = this.timeline();
    const best = bestBegin(this.plan().coats, this.begin(), this.hours());
    if (best.missed >= now.missed) return null;
    return { begins: best.begins, says: `Begin ${format(best.begins, 'EEEE HH:mm')}` };
  });

  protected now(): void {
    this.begin.set(soon());
  }

  protected take(begins: Date): void {
    this.begin.set(begins);
  }

  protected setDay(day: string | null): void {
    if (day === null) return;
    const next = parseISO(day);
    next.setHours(this.begin().getHours(), this.begin().getMinutes());
    this.begin.set(next);
  }

  protected setTime(text: string): void {
    const found = CLOCK.exec(text.trim());
    if (!found) {
      this.wrong.set('Write a time of day as 08:30.');
      return;
    }
    const next = new Date(this.begin());
    next.setHours(Number(found[1]), Number(found[2]), 0, 0);
    this.begin.set(next);
  }
}

/** The next five minutes that begin. */
const soon = (): Date => new Date(Math.ceil(Date.now() / STEP) * STEP);

const placed = ({ from, to }: Stretch) => ({ left: `${from * 100}%`, width: `${(to - from) * 100}%` });

const missedText = (missed: number): string =>
  missed === 1
    ? 'One recoat window closes while everybody sleeps: let that coat cure and sand it, or begin at another time.'
    : `${missed} recoat windows close while everybody sleeps: let those coats cure and sand them, or begin at another time.`;
