import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import {
  designMarksSchema,
  designPageSchema,
  momentsOf,
  MOST_A_PAGE,
  tagsSchema,
  type DesignMarks,
  type DesignPage,
  type DesignSummary,
  type TagCount,
} from '@aurantia/core';
import { map, type Observable } from 'rxjs';
import * as z from 'zod';
import { Api } from './api';
import { Notices } from './notices';

/** What is looked for among the designs; null where it doesn't matter. */
export interface DesignsWanted {
  readonly search: string;
  readonly tag: string | null;
  readonly level: DesignSummary['level'];
  readonly since: string | null;
  readonly before: string | null;
  /** on the table, set aside, or removed */
  readonly where: 'table' | 'archive' | 'removed';
  readonly order: 'newest' | 'name' | 'tag';
}

/** All that is on the table, newest first. */
export const ALL_DESIGNS: DesignsWanted = {
  search: '',
  tag: null,
  level: null,
  since: null,
  before: null,
  where: 'table',
  order: 'newest',
};

const PAGE = MOST_A_PAGE;
/** ms until what isn't fresh yet is asked for again, and how often that is done. */
const AGAIN = { first: 400, most: 5000, times: 14 };

/** The designs that are looked for, newest first: their number at once, the rest a page at a time as it comes into sight. */
@Injectable({ providedIn: 'root' })
export class DesignList {
  private readonly api = inject(Api);
  private readonly notices = inject(Notices);

  readonly wanted = signal(ALL_DESIGNS);
  /** tags in use; their number by tag stands in `groups` while the list is in their order */
  readonly tags = signal<readonly TagCount[]>([]);
  readonly groups = signal<DesignPage['groups']>([]);
  /** null until the first page came, and while it is of another search */
  readonly total = signal<number | null>(null);
  private readonly pages = signal<ReadonlyMap<number, readonly DesignSummary[]>>(new Map());
  private readonly asked = new Set<number>();
  private shownBy = 0;
  /** every place of the list; null where what stands there isn't here yet */
  readonly designs = computed<readonly (DesignSummary | null)[]>(() =>
    Array.from({ length: this.total() ?? 0 }, (_, i) => this.pages().get(Math.floor(i / PAGE))?.[i % PAGE] ?? null),
  );
  private timer: ReturnType<typeof setTimeout> | undefined;

  /** Looks for designs by what is wanted now, changed in one thing or another. */
  look(change: Partial<DesignsWanted> = {}): void {
    this.wanted.update((wanted) => ({ ...wanted, ...change }));
    this.asked.clear();
    clearTimeout(this.timer);
    this.ask(0, this.wanted(), true);
  }

  /** Shown from now on, until the view is left: a save that ends meanwhile is seen at once. */
  show(left: DestroyRef): void {
    this.shownBy += 1;
    left.onDestroy(() => (this.shownBy -= 1));
    this.look(ALL_DESIGNS);
  }

  /** A design was kept: it is the newest now. */
  changed(): void {
    if (this.shownBy > 0) this.look();
  }

  /** Sees to it that what stands from one place to another is here. */
  need(first: number, last: number): void {
    for (let page = Math.floor(first / PAGE); page * PAGE <= last; page += 1)
      if (!this.asked.has(page)) this.ask(page, this.wanted());
  }

  /** The first of those that have words in their names, cups or tags. */
  named(search: string): Observable<readonly DesignSummary[]> {
    return this.page(0, { ...ALL_DESIGNS, search }).pipe(map(({ designs }) => designs));
  }

  remove({ id, name }: DesignSummary): void {
    const path = `designs/${encodeURIComponent(id)}`;
    this.api.remove(path).subscribe({
      next: () => {
        this.look();
        this.notices.undoable(`${name} is removed.`, () => this.bringBack(id));
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  bringBack(id: string): void {
    this.api.post(`designs/${encodeURIComponent(id)}/restore`, {}, z.unknown()).subscribe({
      next: () => this.look(),
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  /** Keeps a design in order among others: its tags, and whether it stands aside. */
  mark({ id, tags, archived }: DesignSummary, change: Partial<DesignMarks>): void {
    const path = `designs/${encodeURIComponent(id)}/marks`;
    this.api.put(path, { tags, archived, ...change }, designMarksSchema).subscribe({
      next: () => {
        this.look();
        this.loadTags();
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  loadTags(): void {
    this.api.get('designs/tags', tagsSchema).subscribe({
      next: (tags) => this.tags.set(tags),
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  private page(page: number, { where, ...wanted }: DesignsWanted): Observable<DesignPage> {
    const query = new URLSearchParams({ from: `${page * PAGE}`, limit: `${PAGE}` });
    for (const [name, value] of Object.entries(wanted)) if (value !== null) query.set(name, value);
    if (where === 'archive') query.set('archived', 'true');
    // Home shows what was removed lately; the rest is under “Kept safe”.
    if (where === 'removed' && wanted.since === null && wanted.before === null) {
      const { since } = momentsOf('month', new Date());
      if (since) query.set('since', since);
    }
    return this.api.get(`designs${where === 'removed' ? '/removed' : ''}?${query.toString()}`, designPageSchema);
  }

  private ask(page: number, wanted: DesignsWanted, anew = false, times = 0): void {
    this.asked.add(page);
    this.page(page, wanted).subscribe({
      next: ({ total, designs, groups }) => {
        if (wanted !== this.wanted()) return;
        this.groups.set(groups);
        this.total.set(total);
        this.pages.update((pages) => new Map([...(anew ? [] : pages), [page, designs]]));
        if (designs.some(({ fresh }) => !fresh) && times < AGAIN.times) this.askAgain(page, wanted, times);
      },
      error: (error: unknown) => {
        this.asked.delete(page);
        this.notices.failed(error, () => this.ask(page, wanted, anew));
      },
    });
  }

  /** Lines and pictures are got ready aside: what isn't is asked for again, each time a little later. */
  private askAgain(page: number, wanted: DesignsWanted, times: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(
      () => {
        if (wanted === this.wanted()) this.ask(page, wanted, false, times + 1);
      },
      Math.min(AGAIN.most, AGAIN.first * 1.4 ** times),
    );
  }
}
