import { designIdSchema, type DesignId } from '@aurantia/core';
import { computed, inject, Injectable, signal } from '@angular/core';
import { orderSchema, type Order } from '@aurantia/core/order';
import { tap, type Observable } from 'rxjs';
import * as z from 'zod';
import { Api } from './api';
import { KeptList } from './kept-list';
import { Notices } from './notices';

const namesSchema = z.array(z.object({ id: designIdSchema, name: z.string() }));
const mentionsSchema = z.object({ orders: z.int(), makes: z.int() });
const tableSchema = z.object({ came: z.int(), refused: z.array(z.object({ line: z.int(), says: z.string() })) });
export type TableRead = z.infer<typeof tableSchema>;

/** Cups that somebody waits for. */
@Injectable({ providedIn: 'root' })
export class Orders {
  private readonly api = inject(Api);
  private readonly notices = inject(Notices);
  private readonly kept = new KeptList<Order>('orders', orderSchema, ({ who }) =>
    who === '' ? 'The order' : `The order of ${who}`,
  );
  readonly all = computed(() => this.kept.entries().map(({ document }) => document));
  readonly loaded = signal(false);
  /** what there is to order */
  readonly designs = signal<readonly { readonly id: DesignId; readonly name: string }[]>([]);

  load(): void {
    this.api.get('orders/designs', namesSchema).subscribe({
      next: (designs) => this.designs.set([...designs].sort((one, other) => one.name.localeCompare(other.name))),
      error: (error: unknown) => this.notices.failed(error),
    });
    this.kept.fetch().subscribe({
      next: () => this.loaded.set(true),
      error: (error: unknown) => this.notices.failed(error, () => this.load()),
    });
  }

  put(order: Order): Observable<Order> {
    return this.kept.put(order.id, order);
  }

  remove(order: Order): void {
    this.kept.remove(order.id, `The order ${order.who === '' ? '' : `of ${order.who} `}is gone.`);
  }

  /** Begins the next cups of an order. @returns the make’s id */
  begin({ id }: Order): Observable<{ make: string }> {
    return this.api
      .post(`orders/${encodeURIComponent(id)}/makes`, {}, z.object({ make: z.string() }))
      .pipe(tap(() => this.load()));
  }

  bringTable(text: string): Observable<TableRead> {
    return this.api.post('orders/table', { text }, tableSchema).pipe(tap(() => this.load()));
  }

  /** How often a person is named. */
  mentions(who: string): Observable<z.infer<typeof mentionsSchema>> {
    return this.api.get(`orders/mentions?who=${encodeURIComponent(who)}`, mentionsSchema);
  }

  forget(who: string): Observable<z.infer<typeof mentionsSchema>> {
    return this.api.post('orders/forget', { who }, mentionsSchema).pipe(tap(() => this.load()));
  }
}
