import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { durationText } from '@aurantia/core';
import { orderOfJob, type Order } from '@aurantia/core/order';
import { dayOf, jobText, minuteOf, timeOf, type Placed, type PlannedJob } from '@aurantia/core/week';
import { format } from 'date-fns';
import { BUTTONS } from '../../../parts/buttons';
import { DateField } from '../../../parts/fields/date-field';
import { TextField } from '../../../parts/fields/text-field';
import { Notices } from '../../../services/notices';
import { Orders } from '../../../services/orders';
import { Week, ZONE } from '../../../services/week';

const CLOCK = /^([01]?\d|2[0-3])[:.]([0-5]\d)$/;
const moment = (minute: number): string => format(minute * 60_000, 'EEE d MMM, HH:mm');

/** One step of the week: when, who, what it waits for; and where it is pinned to. */
@Component({
  selector: 'au-step-panel',
  imports: [BUTTONS, DateField, RouterLink, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './step-panel.html',
  styleUrl: './step-panel.scss',
})
export class StepPanel {
  private readonly week = inject(Week);
  private readonly orders = inject(Orders);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  readonly shown = input.required<{ readonly planned: PlannedJob; readonly at: number } | null>();
  /** what is stirred for it together with others; null where it has its own */
  readonly mix = input.required<string | null>();
  readonly nameOf = input.required<(person: string) => string>();

  private readonly one = computed(() => {
    const shown = this.shown();
    return shown ? shown.planned.works[shown.at] : null;
  });
  protected readonly told = computed(() => {
    const [shown, one] = [this.shown(), this.one()];
    if (!shown || !one) return null;
    const before = shown.planned.works.at(shown.at - 1);
    const opened = shown.at > 0 && before?.closes != null ? before : null;
    return {
      title: one.work.titles.join(', then '),
      cup: jobText(shown.planned.job),
      when: `${moment(one.at)}–${format(one.laid * 60_000, 'HH:mm')}`,
      takes: durationText(one.work.hands) + (one.person === null ? '' : `, ${this.nameOf()(one.person)}`),
      ready: one.ready > one.laid ? moment(one.ready) : 'at once',
      window: opened?.closes == null ? null : `${moment(opened.ready)} to ${format(opened.closes * 60_000, 'EEE HH:mm')}`,
      closes: one.closes === null ? null : moment(one.closes),
      pinned: one.pinned,
      held: [
        ...(one.work.turns > 0 ? [`turns till ${format((one.laid + one.work.turning) * 60_000, 'EEE HH:mm')} or so`] : []),
        ...(one.work.sprays > 0 ? ['sprayed: outdoors or in a booth'] : []),
        ...(one.work.hangs > 0 ? ['hangs to dry'] : []),
      ],
      order: this.orderOf(shown.planned.job.id),
      begins: shown.at === 0 && shown.planned.job.begun === null,
    };
  });
  protected readonly day = linkedSignal(() => dayOf(this.one()?.at ?? 0, ZONE));
  protected readonly time = linkedSignal(() => timeOf(this.one()?.at ?? 0, ZONE));
  protected readonly wrong = signal<string | null>(null);

  protected setDay(day: string | null): void {
    if (day !== null) this.day.set(day);
  }

  protected setTime(text: string): void {
    const found = CLOCK.exec(text.trim());
    this.wrong.set(found ? null : 'Write a time of day as 08:30.');
    if (found) this.time.set(`${found[1].padStart(2, '0')}:${found[2]}`);
  }

  protected pin(): void {
    const [shown, one] = [this.shown(), this.one()];
    if (!shown || !one || this.wrong() !== null) return;
    const at = minuteOf(this.day(), this.time(), ZONE);
    // Moved by hand it may be anybody's; left where it stands, it stays with whose it is.
    const person = at === one.at ? (one.person as Placed['person']) : null;
    const pin: Placed = { job: shown.planned.job.id, work: one.work.key, at, person };
    this.week.change({ pins: [...this.others(pin), pin] });
  }

  protected takeOut(): void {
    const [shown, one] = [this.shown(), this.one()];
    if (shown && one) this.week.change({ pins: this.others({ job: shown.planned.job.id, work: one.work.key }) });
  }

  /** The next cups of the order are begun, and the bench opens. */
  protected begin(): void {
    const order = this.told()?.order;
    if (!order) return;
    this.orders.begin(order).subscribe({
      next: ({ make }) => void this.router.navigate(['/bench', make]),
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  /** Where the make of what is looked at stands; null where it isn't begun. */
  protected benchOf(): string | null {
    const id = this.shown()?.planned.job.id ?? '';
    const part = orderOfJob(id);
    if (!part) return `/bench/${id}`;
    const make = this.orders
      .all()
      .find((one) => one.id === part.order)
      ?.makes.at(part.at);
    return make === undefined ? null : `/bench/${make}`;
  }

  /** The order whose next cups these are; null where they are begun, or come later. */
  private orderOf(job: string): Order | null {
    const part = orderOfJob(job);
    return this.orders.all().find(({ id, makes }) => id === part?.order && makes.length === part.at) ?? null;
  }

  private others({ job, work }: Pick<Placed, 'job' | 'work'>): Placed[] {
    return (this.week.data()?.book.pins ?? []).filter((pin) => pin.job !== job || pin.work !== work);
  }
}
