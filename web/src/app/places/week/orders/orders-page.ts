import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import { MENUS } from '../../../parts/menus';
import { Router } from '@angular/router';
import { countText } from '@aurantia/core';
import { moneyText } from '@aurantia/core/money';
import { jobOfOrder, orderOfJob, type Order } from '@aurantia/core/order';
import { format, parseISO } from 'date-fns';
import { BUTTONS } from '../../../parts/buttons';
import { FileField } from '../../../parts/fields/file-field';
import { SearchField } from '../../../parts/fields/search-field';
import { Icon } from '../../../parts/icons/icon';
import { textOfFile } from '../../../services/file-text';
import { Asking } from '../../../services/asking';
import { Money } from '../../../services/money';
import { Notices } from '../../../services/notices';
import { Orders, type TableRead } from '../../../services/orders';
import { Week } from '../../../services/week';
import { stateNames } from '../order-dialog/order-dialog';
import { WeekTabs } from '../week-tabs';

/** The most that are shown at once: narrowed down, any is. */
const SHOWN = 120;

/** Who waits for what, by when; as a table out and in. */
@Component({
  selector: 'au-orders-page',
  imports: [BUTTONS, FileField, Icon, MENUS, SearchField, WeekTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './orders-page.html',
  styleUrl: './orders-page.scss',
})
export class OrdersPage {
  protected readonly orders = inject(Orders);
  private readonly week = inject(Week);
  private readonly money = inject(Money);
  private readonly dialog = inject(MatDialog);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  protected readonly here = inject(Asking).who === 'here';

  protected readonly words = signal('');
  protected readonly refused = signal<TableRead['refused']>([]);
  private readonly found = computed(() => {
    const word = this.words().trim().toLocaleLowerCase();
    const all = this.orders.all().map((order) => ({
      order,
      design: this.orders.designs().find(({ id }) => id === order.design)?.name ?? 'a design that isn’t here',
    }));
    const some = all.filter(({ order, design }) =>
      `${order.who} ${design} ${order.note} ${order.state}`.toLocaleLowerCase().includes(word),
    );
    const dueOf = ({ due }: Order) => (due ? `${due.day} ${due.time}` : '9999');
    const rank = ({ state }: Order) => (state === 'taken' || state === 'asked' || state === 'ready' ? 0 : 1);
    return some.sort((one, other) => rank(one.order) - rank(other.order) || dueOf(one.order).localeCompare(dueOf(other.order)));
  });
  protected readonly rows = computed(() =>
    this.found()
      .slice(0, SHOWN)
      .map(({ order, design }) => {
        const jobs = this.week.plan()?.jobs.filter(({ job }) => orderOfJob(job.id)?.order === order.id) ?? [];
        const done =
          jobs.length > 0 && jobs.every((one) => one.done !== null) ? Math.max(...jobs.map((one) => one.done ?? 0)) : null;
        const late = jobs.some((one) => one.late > 0 || one.whyNot !== null);
        return {
          order,
          who: order.who || 'For the table',
          what: `${design}${order.cups > 1 ? ` × ${order.cups}` : ''}`,
          due: order.due ? `by ${format(parseISO(`${order.due.day}T${order.due.time}`), 'EEE d MMM, HH:mm')}` : 'no day',
          price: order.price === null ? 'no price' : moneyText(order.price, this.money.ways()),
          state: stateNames[order.state],
          begun: order.makes.length,
          late,
          planned: done === null ? '' : `${late ? 'late: ' : ''}done ${format(done * 60_000, 'EEE d MMM, HH:mm')}`,
          begins: order.state === 'taken' && jobs.some(({ job }) => job.id === jobOfOrder(order.id, order.makes.length)),
        };
      }),
  );
  protected readonly count = computed(() => {
    const { length } = this.found();
    return length > SHOWN
      ? `${countText(length, 'order')}; the first ${SHOWN} are shown. Type a name or a design to see others.`
      : countText(length, 'order');
  });

  constructor() {
    this.orders.load();
    this.money.load();
    this.week.load();
  }

  protected async open(order: Order | null): Promise<void> {
    const { OrderDialog } = await import('../order-dialog/order-dialog');
    this.dialog.open(OrderDialog, { width: '720px', maxWidth: '96vw', ariaLabel: 'An order', data: order });
  }

  protected begin(order: Order): void {
    this.orders.begin(order).subscribe({
      next: ({ make }) => void this.router.navigate(['/bench', make]),
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  protected bench(order: Order): void {
    void this.router.navigate(['/bench', order.makes.at(-1)]);
  }

  protected async bring(file: File): Promise<void> {
    this.orders.bringTable(await textOfFile(file)).subscribe({
      next: ({ came, refused }) => {
        this.refused.set(refused);
        this.notices.say(
          `${countText(came, 'order')} came${refused.length > 0 ? `, ${countText(refused.length, 'line')} didn’t: see above the list` : ''}.`,
        );
        this.week.load();
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  protected async forget(order: Order): Promise<void> {
    const { ForgetDialog } = await import('./forget-dialog');
    this.dialog.open(ForgetDialog, { width: '480px', maxWidth: '96vw', ariaLabel: 'Remove a person', data: order.who });
  }
}
