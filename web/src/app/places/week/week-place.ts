import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { MatDialog } from '@angular/material/dialog';
import { MENUS } from '../../parts/menus';
import { countText } from '@aurantia/core';
import {
  boardOf,
  workshopDay,
  dayOf,
  daySheet,
  jobText,
  minuteOf,
  movedText,
  sharedMixTexts,
  whyNotText,
  workKey,
} from '@aurantia/core/week';
import { format } from 'date-fns';
import { debounceTime, filter } from 'rxjs';
import { BUTTONS } from '../../parts/buttons';
import { Choice } from '../../parts/fields/choice';
import { Icon } from '../../parts/icons/icon';
import { MakesList } from '../../services/makes-list';
import { Orders } from '../../services/orders';
import { Week, ZONE } from '../../services/week';
import { WorkshopMemory } from '../../services/workshop';
import { WorkshopTime } from '../../services/workshop-time';
import { BoardView, type StepAt } from './board/board';
import { boundText, planText } from './plan-words';
import { StepPanel } from './step-panel/step-panel';
import { WeekTabs } from './week-tabs';

const DAY = 24 * 60;
const SPANS = { day: DAY, three: 3 * DAY, all: 0 } as const;
/** Cups that are drawn at once: of more, those with something to be seen in what is shown. */
const MOST_ROWS = 40;
/** Sentences of what can’t be done; more of them nobody reads. */
const MOST_TOLD = 8;
/** ms in which what others write is one reason to look again. */
const SETTLED = 800;

/** The week: when hands are on which cup, what waits meanwhile, and how all of it ends in time. */
@Component({
  selector: 'au-week-place',
  imports: [BUTTONS, BoardView, Choice, Icon, MENUS, StepPanel, WeekTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './week-place.html',
  styleUrl: './week-place.scss',
})
export class WeekPlace {
  protected readonly week = inject(Week);
  private readonly time = inject(WorkshopTime);
  private readonly workshop = inject(WorkshopMemory);
  private readonly dialog = inject(MatDialog);

  protected readonly span = signal<keyof typeof SPANS>('three');
  protected readonly spans = [
    { value: 'day', name: 'A day' },
    { value: 'three', name: 'Three days' },
    { value: 'all', name: 'All of it' },
  ] as const;
  /** days that what is shown begins after today */
  protected readonly on = signal(0);
  protected readonly chosen = signal<StepAt | null>(null);
  /** what moved is told in full */
  protected readonly open = signal(false);
  private readonly now = computed(() => this.time.minute() / 60_000);
  // Pins and plans are kept often, hands and arms seldom: the board is drawn anew for what it shows alone.
  private readonly means = computed(() => this.week.data()?.book.means ?? null);
  private readonly blocks = computed(() => this.week.data()?.book.blocks ?? null);
  private readonly room = computed(() => this.week.data()?.room ?? null);
  protected readonly nameOf = computed(() => {
    const people = this.means()?.people ?? [];
    return (id: string) => people.find((one) => one.id === id)?.name ?? '';
  });
  private readonly from = computed(() => {
    const today = minuteOf(dayOf(this.now(), ZONE), '00:00', ZONE);
    return minuteOf(dayOf(today + this.on() * DAY + DAY / 2, ZONE), '00:00', ZONE);
  });
  protected readonly board = computed(() => {
    const [plan, means, blocks, room] = [this.week.plan(), this.means(), this.blocks(), this.room()];
    if (!plan || !means || !blocks || !room) return null;
    const shared = { now: this.now(), zone: ZONE, means, blocks };
    const from = this.from();
    if (this.span() === 'day') return boardOf(plan, { ...shared, ...workshopDay(from, room, means, ZONE) });
    const until = this.span() === 'all' ? Math.max(plan.worth.end + 120, from + DAY) : from + SPANS.three;
    return boardOf(plan, { ...shared, from, until });
  });
  protected readonly drawn = computed(() => {
    const board = this.board();
    if (!board || board.rows.length <= MOST_ROWS) return board;
    return { ...board, rows: board.rows.filter(({ steps }) => steps.some(({ hands }) => hands)).slice(0, MOST_ROWS) };
  });
  protected readonly undrawn = computed(() => {
    const [all, some] = [this.board()?.rows.length ?? 0, this.drawn()?.rows.length ?? 0];
    return all > some
      ? `Of ${all} batches those ${some} are drawn that have hands on them in what is shown. All stand under Orders.`
      : '';
  });
  protected readonly shown = computed(() => {
    const plan = this.week.plan();
    const chosen = this.chosen();
    const planned = plan?.jobs.find(({ job }) => job.id === chosen?.job);
    const at = planned?.works.findIndex(({ work }) => work.key === chosen?.work) ?? -1;
    return planned && at >= 0 ? { planned, at } : null;
  });
  private readonly mixes = computed(() => sharedMixTexts(this.week.plan()?.jobs ?? [], this.workshop.units()));
  /** what is stirred at once for the step that is looked at and for others */
  protected readonly mix = computed(() => {
    const shown = this.shown();
    if (!shown) return null;
    const { job, works } = shown.planned;
    return this.mixes().get(workKey(job.id, works[shown.at].work.key)) ?? null;
  });
  protected readonly says = computed(() => {
    const planned = this.week.planned();
    return planned ? planText(planned.plan) : '';
  });
  protected readonly bound = computed(() => {
    const planned = this.week.planned();
    return planned && planned.plan.worth.end > 0 ? boundText(planned.bound, planned.plan) : '';
  });
  protected readonly late = computed(() => (this.week.plan()?.worth.late ?? 0) > 0);
  protected readonly troubles = computed(() => {
    const lost = this.week.planned()?.lost ?? [];
    const jobs = this.week.plan()?.jobs ?? [];
    const pinLost = lost.map(({ job, work, at }) => {
      const own = jobs.find((one) => one.job.id === job);
      const title = own?.works.find((one) => one.work.key === work)?.work.titles[0] ?? 'A step';
      return `“${title}”${own ? ` of ${jobText(own.job)}` : ''} can’t be begun ${format(at * 60_000, 'EEE HH:mm')}, where it was pinned to: hands or arms are taken, or what comes before isn’t ready. The pin is out.`;
    });
    const all = [
      ...(this.week.data()?.troubles ?? []).map(({ name, says }) => `${name}: ${says}`),
      ...jobs.flatMap(({ job, whyNot }) => (whyNot ? [`${jobText(job)}: ${whyNotText(whyNot)}`] : [])),
      ...jobs.flatMap(({ job, missed }) =>
        missed ? [`${jobText(job)}: the window closes before hands are free. Let it cure and sand it.`] : [],
      ),
      ...pinLost,
    ];
    const each = [...new Set(all)];
    return each.length > MOST_TOLD ? [...each.slice(0, MOST_TOLD), `And ${each.length - MOST_TOLD} more like these.`] : each;
  });
  protected readonly moved = computed(() => (this.week.moved()?.jobs ?? []).map(movedText));
  protected readonly movedSays = computed(
    () =>
      `${countText(this.moved().length, 'cup')} moved by ${this.week.moved()?.by === 'change' ? 'that' : 'what came meanwhile'}`,
  );
  protected readonly empty = computed(
    () => this.week.plan() !== null && this.week.plan()?.jobs.length === 0 && this.troubles().length === 0,
  );
  protected readonly sheet = computed(
    () => `/api/week/sheet.pdf?zone=${encodeURIComponent(ZONE)}&day=${dayOf(this.from(), ZONE)}`,
  );
  protected readonly day = computed(() => {
    const plan = this.week.plan();
    return plan
      ? daySheet(plan, { day: dayOf(this.from(), ZONE), zone: ZONE, units: this.workshop.units(), nameOf: this.nameOf() })
      : [];
  });
  protected readonly sheetDay = computed(() => format(this.from() * 60_000, 'EEE d MMM'));
  protected readonly calendars = computed(() => {
    const address = (rest: string) => `/api/week/calendar.ics?zone=${encodeURIComponent(ZONE)}${rest}`;
    return [
      { name: 'Everything', href: address('') },
      ...(this.week.data()?.book.means.people ?? []).map(({ id, name }) => ({
        name: `What ${name} does`,
        href: address(`&person=${encodeURIComponent(id)}`),
      })),
      ...(this.week.plan()?.jobs ?? []).map(({ job }) => ({
        name: jobText(job),
        href: address(`&job=${encodeURIComponent(job.id)}`),
      })),
    ].slice(0, 40);
  });

  constructor() {
    this.time.watch();
    this.week.load();
    inject(Orders).load();
    inject(MakesList)
      .changesSeen()
      .pipe(
        debounceTime(SETTLED),
        filter(() => !this.week.busy()),
        takeUntilDestroyed(),
      )
      .subscribe(() => this.week.load());
    // A step that is done, or of a job that is gone, is no longer looked at.
    effect(() => {
      if (this.chosen() && this.week.plan() && !this.shown()) this.chosen.set(null);
    });
  }

  protected look(job: string, work: string | null): void {
    if (work !== null) this.chosen.set({ job, work });
  }

  protected shift(days: number): void {
    this.on.set(Math.max(-7, Math.min(370, this.on() + days)));
  }

  protected async openMeans(): Promise<void> {
    const { MeansDialog } = await import('./means-dialog/means-dialog');
    this.dialog.open(MeansDialog, { width: '920px', maxWidth: '96vw', ariaLabel: 'Hands and arms' });
  }

  protected async newOrder(): Promise<void> {
    const { OrderDialog } = await import('./order-dialog/order-dialog');
    this.dialog.open(OrderDialog, { width: '720px', maxWidth: '96vw', ariaLabel: 'An order', data: null });
  }
}
