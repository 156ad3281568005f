import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { designPageSchema, designSchema, MOST_A_PAGE, type Design, type DesignPage, type DesignSummary } from '@aurantia/core';
import { map, tap, type Observable } from 'rxjs';
import * as z from 'zod';
import { Api } from './api';
import { Notices } from './notices';

export const keptDesignSchema = z.object({ document: designSchema, revision: z.int(), keptAt: z.string() });
export type KeptDesign = z.infer<typeof keptDesignSchema>;

const PAGE = MOST_A_PAGE;
/** ms until what isn't fresh yet is asked for again, and how often that is done. */
const AGAIN = { first: 400, most: 5000, times: 14 };

/** The designs that are looked for, newest first: their number at once, the rest a page at a time as it comes into sight. */
@Injectable({ providedIn: 'root' })
export class DesignList {
  private readonly api = inject(Api);
  private readonly notices = inject(Notices);

  readonly search = signal('');
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

  /** Looks for designs by words of their names and cups; all of them for no word. */
  look(search: string): void {
    this.search.set(search);
    this.asked.clear();
    clearTimeout(this.timer);
    this.ask(0, search, true);
  }

  /** Shown from now on, until the view is left: a save that ends meanwhile is seen at once. */
  show(left: DestroyRef): void {
    this.shownBy += 1;
    left.onDestroy(() => (this.shownBy -= 1));
    this.look('');
  }

  /** A design was kept: it is the newest now. */
  changed(): void {
    if (this.shownBy > 0) this.look(this.search());
  }

  /** Sees to it that what stands from one place to another is here. */
  need(first: number, last: number): void {
    for (let page = Math.floor(first / PAGE); page * PAGE <= last; page += 1)
      if (!this.asked.has(page)) this.ask(page, this.search());
  }

  whole(id: string): Observable<KeptDesign> {
    return this.api.get(`designs/${encodeURIComponent(id)}`, keptDesignSchema);
  }

  create(document: Design): Observable<KeptDesign> {
    return this.api.post('designs', document, keptDesignSchema).pipe(tap(() => this.look(this.search())));
  }

  /** A name that no design has yet: “New design”, “New design 2”… */
  freeName(name: string): Observable<string> {
    return this.page(0, name).pipe(
      map(({ designs }) => {
        const names = new Set(designs.map((one) => one.name));
        for (let number = 1; ; number += 1) {
          const free = number === 1 ? name : `${name} ${number}`;
          if (!names.has(free)) return free;
        }
      }),
    );
  }

  /** Takes a design file's parsed JSON; the memory checks it and names what is wrong. */
  importFile(file: unknown): Observable<KeptDesign> {
    return this.api.post('designs/import', file, keptDesignSchema).pipe(tap(() => this.look(this.search())));
  }

  remove({ id, name }: DesignSummary): void {
    const path = `designs/${encodeURIComponent(id)}`;
    this.api.remove(path).subscribe({
      next: () => {
        this.look(this.search());
        this.notices.undoable(`${name} is removed.`, () => {
          this.api
            .post(`${path}/restore`, {}, keptDesignSchema)
            .subscribe({ next: () => this.look(this.search()), error: (error: unknown) => this.notices.failed(error) });
        });
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  private page(page: number, search: string): Observable<DesignPage> {
    const query = new URLSearchParams({ search, from: `${page * PAGE}`, limit: `${PAGE}` });
    return this.api.get(`designs?${query.toString()}`, designPageSchema);
  }

  private ask(page: number, search: string, anew = false, times = 0): void {
    this.asked.add(page);
    this.page(page, search).subscribe({
      next: ({ total, designs }) => {
        if (search !== this.search()) return;
        this.total.set(total);
        this.pages.update((pages) => new Map([...(anew ? [] : pages), [page, designs]]));
        if (designs.some(({ fresh }) => !fresh) && times < AGAIN.times) this.askAgain(page, search, times);
      },
      error: (error: unknown) => {
        this.asked.delete(page);
        this.notices.failed(error, () => this.ask(page, search, anew));
      },
    });
  }

  /** Lines and pictures are got ready aside: what isn't is asked for again, each time a little later. */
  private askAgain(page: number, search: string, times: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(
      () => {
        if (search === this.search()) this.ask(page, search, false, times + 1);
      },
      Math.min(AGAIN.most, AGAIN.first * 1.4 ** times),
    );
  }
}
