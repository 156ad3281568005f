import { computed, inject, Injectable, signal } from '@angular/core';
import {
  countText,
  defaultSettings,
  ledgerEntrySchema,
  movedOnSchema,
  settingsSchema,
  type Cup,
  type LedgerEntry,
  type MovedOn,
  type Movement,
  type Settings,
  type ShelfItem,
  type ShelfKind,
  type Workshop,
} from '@aurantia/core';
import { catchError, concatMap, EMPTY, finalize, forkJoin, from, map, of, switchMap, tap, type Observable } from 'rxjs';
import { formatISO } from 'date-fns';
import { v7 } from 'uuid';
import * as z from 'zod';
import { Api } from './api';
import { Asking } from './asking';
import { KeptCups, KeptShelf } from './kept-shelf';
import { Notices } from './notices';
import { keptElsewhere, keptSchema, OrderedSaving } from './ordered-saving';

export interface KeptCup {
  readonly id: string;
  readonly cup: Cup;
}

const keptSettings = keptSchema(settingsSchema);

const dayNow = (): string => formatISO(new Date(), { representation: 'date' });

/** The workshop as this page knows it: settings, shelf and cups. */
@Injectable({ providedIn: 'root' })
export class WorkshopMemory {
  private readonly api = inject(Api);
  private readonly notices = inject(Notices);
  private readonly asking = inject(Asking);
  private readonly kept = { shelf: new KeptShelf(), cups: new KeptCups() };
  private readonly saving = new OrderedSaving<Settings>((_, document, parent) =>
    this.api.put('workshop', { parent: parent ?? 0, document }, keptSettings),
  );

  /** which state of the workshop this page knows */
  private stamp: string | null = null;

  readonly settings = signal<Settings>(defaultSettings);
  readonly shelf = computed(() => this.kept.shelf.entries().map(({ document }) => document));
  /** taken off the shelf; designs made with it still name it */
  readonly gone = computed(() => this.kept.shelf.goneEntries().map(({ document }) => document));
  readonly cups = computed<readonly KeptCup[]>(() => this.kept.cups.entries().map(({ id, document }) => ({ id, cup: document })));
  readonly loaded = signal(false);
  /** typical materials are on their way */
  readonly bringing = signal(false);
  readonly units = computed(() => this.settings().units);
  readonly workshop = computed<Workshop>(() => ({ settings: this.settings(), shelf: this.shelf(), today: this.today() }));
  /** what goes off goes off by months: the day is looked at as often as the rest */
  private readonly today = signal(dayNow());

  load(): void {
    if (this.asking.who === 'stranger') return;
    // At the bench a make has all it needs with it.
    const { shelf, cups } = this.kept;
    // What changes after that moment is told by the next look, however long the lists take.
    const kept = this.asking.all
      ? this.movedOn(null).pipe(
          switchMap(({ stamp }) =>
            forkJoin([shelf.fetch(), shelf.fetchGone(), cups.fetch()]).pipe(tap(() => (this.stamp = stamp))),
          ),
        )
      : of(null);
    forkJoin({ settings: this.fetchSettings(), kept }).subscribe({
      next: () => this.loaded.set(true),
      error: (error: unknown) => this.notices.failed(error, () => this.load()),
    });
  }

  /** Takes what another window, a device beside the cup or the bench changed since; what isn't kept yet here stays as it is. */
  follow(): Observable<unknown> {
    if (!this.loaded()) return EMPTY;
    this.today.set(dayNow());
    if (!this.asking.all) return this.fetchSettings();
    const { shelf, cups } = this.kept;
    return this.movedOn(this.stamp).pipe(
      switchMap(({ stamp, since }) => {
        if (!since) return EMPTY;
        shelf.counted(since.left);
        return forkJoin([
          since.settings === this.saving.revisionOf('settings') ? of(null) : this.fetchSettings(),
          !since.shelf || shelf.standsAt(since.shelf) ? of(null) : forkJoin([shelf.fetch(), shelf.fetchGone()]),
          !since.cups || cups.standsAt(since.cups) ? of(null) : cups.fetch(),
        ]).pipe(tap(() => (this.stamp = stamp)));
      }),
    );
  }

  /** @param since the stamp to tell what changed from; null for the present one alone */
  private movedOn(since: string | null): Observable<MovedOn> {
    const said = since === null ? '' : `?stamp=${encodeURIComponent(since)}`;
    return this.api.get(`workshop/moved-on${said}`, movedOnSchema);
  }

  private fetchSettings(): Observable<unknown> {
    return this.api.get('workshop', keptSettings).pipe(
      tap((settings) => {
        if (this.saving.isNews('settings', settings.revision)) this.takeSettings(settings);
      }),
    );
  }

  /** Shown at once; put back when it can't be kept. */
  changeSettings(change: Partial<Settings>): void {
    const before = this.settings();
    const wanted = { ...before, ...change };
    this.settings.set(wanted);
    this.saving.save('settings', wanted).subscribe({
      error: (error: unknown) => {
        const theirs = keptElsewhere(error, settingsSchema);
        if (theirs) {
          this.takeSettings(theirs);
          const sentence = 'The workshop was changed in another window; that is shown now.';
          this.notices.offer(sentence, 'Use mine', () => this.changeSettings(change));
          return;
        }
        if (this.settings() === wanted) this.settings.set(before);
        this.notices.failed(error);
      },
    });
  }

  /** Keeps what is known of an item; what is left of one that is here already stays as counted. */
  putItem(item: ShelfItem): Observable<ShelfItem> {
    return this.kept.shelf.put(item.id, item);
  }

  /** A new item, and where what is in it came from. */
  addItem(item: ShelfItem, why: string): Observable<ShelfItem> {
    return this.kept.shelf.add(item, why);
  }

  /** So much came or went. @returns the item as counted now; nothing when it can't be, which is said already */
  moveItem(id: string, movement: Movement): Observable<ShelfItem> {
    return this.kept.shelf.move(id, movement).pipe(
      catchError((error: unknown) => {
        this.notices.failed(error);
        return EMPTY;
      }),
    );
  }

  /** Many at once, all or none. */
  putItems(items: readonly ShelfItem[]): Observable<unknown> {
    return this.kept.shelf.bringIn(items);
  }

  /** Made-up materials to begin with, of all kinds or of some; they can be taken off again at once. */
  putTypical(kinds: readonly ShelfKind[] | null): void {
    this.bringing.set(true);
    from(import('@aurantia/core/first-shelf'))
      .pipe(
        map(({ typicalShelf }) => typicalShelf(v7).filter(({ kind }) => kinds === null || kinds.includes(kind))),
        switchMap((items) => this.putItems(items).pipe(map(() => items))),
        finalize(() => this.bringing.set(false)),
      )
      .subscribe({
        next: (items) =>
          this.notices.undoable(`${countText(items.length, 'typical material')} on the shelf.`, () => this.takeOff(items)),
        error: (error: unknown) => this.notices.failed(error),
      });
  }

  private takeOff(items: readonly ShelfItem[]): void {
    from(items)
      .pipe(concatMap(({ id }) => this.kept.shelf.takeAway(id)))
      .subscribe({ error: (error: unknown) => this.notices.failed(error) });
  }

  ledger(id: string): Observable<readonly LedgerEntry[]> {
    return this.api.get(`shelf/${encodeURIComponent(id)}/ledger`, z.array(ledgerEntrySchema));
  }

  removeItem(item: ShelfItem): void {
    this.kept.shelf.remove(item.id, `${item.name} is off the shelf.`);
  }

  putCup(id: string, cup: Cup): Observable<KeptCup> {
    return this.kept.cups.put(id, cup).pipe(map((kept) => ({ id, cup: kept })));
  }

  removeCup({ id, cup }: KeptCup): void {
    this.kept.cups.remove(id, `${cup.name} is gone from the cups.`);
  }

  private takeSettings({ document, revision }: { document: Settings; revision: number }): void {
    this.saving.note('settings', revision);
    this.settings.set(document);
  }
}
