import { computed, inject, Injectable, signal } from '@angular/core';
import {
  cupSchema,
  defaultSettings,
  ledgerEntrySchema,
  settingsSchema,
  shelfItemSchema,
  type Cup,
  type LedgerEntry,
  type Settings,
  type ShelfItem,
  type Workshop,
} from '@aurantia/core';
import { forkJoin, tap, type Observable } from 'rxjs';
import * as z from 'zod';
import { Api } from './api';
import { Notices } from './notices';

const keptCupSchema = z.object({ id: z.string(), cup: cupSchema });
export type KeptCup = z.infer<typeof keptCupSchema>;

/** The workshop as this page knows it: settings, shelf and cups. */
@Injectable({ providedIn: 'root' })
export class WorkshopMemory {
  private readonly api = inject(Api);
  private readonly notices = inject(Notices);

  readonly settings = signal<Settings>(defaultSettings);
  readonly shelf = signal<readonly ShelfItem[]>([]);
  /** taken off the shelf; designs made with it still name it */
  readonly gone = signal<readonly ShelfItem[]>([]);
  readonly cups = signal<readonly KeptCup[]>([]);
  readonly loaded = signal(false);
  readonly units = computed(() => this.settings().units);
  readonly workshop = computed<Workshop>(() => ({ settings: this.settings(), shelf: [...this.shelf()] }));

  load(): void {
    forkJoin({
      settings: this.api.get('workshop', settingsSchema),
      shelf: this.api.get('shelf', z.array(shelfItemSchema)),
      gone: this.api.get('shelf/gone', z.array(shelfItemSchema)),
      cups: this.api.get('cups', z.array(keptCupSchema)),
    }).subscribe({
      next: ({ settings, shelf, gone, cups }) => {
        this.gone.set(gone);
        this.settings.set(settings);
        this.shelf.set(shelf);
        this.cups.set(cups);
        this.loaded.set(true);
      },
      error: (error: unknown) => this.notices.failed(error, () => this.load()),
    });
  }

  /** Shown at once; put back when it can't be kept. */
  changeSettings(change: Partial<Settings>): void {
    const before = this.settings();
    const wanted = { ...before, ...change };
    this.settings.set(wanted);
    this.api.put('workshop', wanted, settingsSchema).subscribe({
      error: (error: unknown) => {
        this.settings.set(before);
        this.notices.failed(error);
      },
    });
  }

  /** @param why goes into the ledger when what is left changes */
  putItem(item: ShelfItem, why = 'counted anew'): Observable<ShelfItem> {
    return this.api.put(`shelf/${encodeURIComponent(item.id)}?why=${encodeURIComponent(why)}`, item, shelfItemSchema).pipe(
      tap((kept) => {
        const others = this.shelf();
        this.gone.set(this.gone().filter(({ id }) => id !== kept.id));
        this.shelf.set(
          others.some(({ id }) => id === kept.id) ? others.map((one) => (one.id === kept.id ? kept : one)) : [...others, kept],
        );
      }),
    );
  }

  /** Many at once, all or none. */
  putItems(items: readonly ShelfItem[]): Observable<unknown> {
    return this.api.post('shelf/many', items, z.unknown()).pipe(
      tap(() => {
        const ids = new Map(items.map((item) => [item.id, item]));
        const others = this.shelf();
        const known = new Set(others.map(({ id }) => id));
        this.shelf.set([...others.map((one) => ids.get(one.id) ?? one), ...items.filter(({ id }) => !known.has(id))]);
      }),
    );
  }

  ledger(id: string): Observable<readonly LedgerEntry[]> {
    return this.api.get(`shelf/${encodeURIComponent(id)}/ledger`, z.array(ledgerEntrySchema));
  }

  removeItem(item: ShelfItem): void {
    this.api.remove(`shelf/${encodeURIComponent(item.id)}`).subscribe({
      next: () => {
        this.shelf.set(this.shelf().filter(({ id }) => id !== item.id));
        this.gone.set([item, ...this.gone()]);
        this.notices.undoable(`${item.name} is off the shelf.`, () =>
          this.putItem(item).subscribe({ error: (error: unknown) => this.notices.failed(error) }),
        );
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  putCup(id: string, cup: Cup): Observable<KeptCup> {
    return this.api.put(`cups/${encodeURIComponent(id)}`, cup, keptCupSchema).pipe(
      tap((kept) => {
        const others = this.cups();
        this.cups.set(
          others.some((one) => one.id === id) ? others.map((one) => (one.id === id ? kept : one)) : [...others, kept],
        );
      }),
    );
  }

  removeCup({ id, cup }: KeptCup): void {
    this.api.remove(`cups/${encodeURIComponent(id)}`).subscribe({
      next: () => {
        this.cups.set(this.cups().filter((one) => one.id !== id));
        this.notices.undoable(`${cup.name} is gone from the cups.`, () =>
          this.putCup(id, cup).subscribe({ error: (error: unknown) => this.notices.failed(error) }),
        );
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }
}
