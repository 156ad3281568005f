import { inject, signal } from '@angular/core';
import { catchError, EMPTY, map, tap, type Observable } from 'rxjs';
import * as z from 'zod';
import { Api, ApiError } from './api';
import { Notices } from './notices';
import { keptElsewhere, keptSchema, OrderedSaving, type Kept } from './ordered-saving';

interface Entry<Document> {
  readonly id: string;
  readonly document: Document;
}

const byId = <One extends { readonly id: string }>(all: readonly One[]): ReadonlyMap<string, One> =>
  new Map(all.map((one) => [one.id, one]));

/**
 * A list of documents that the workshop's memory keeps, as this page knows it. A change is shown at
 * once and kept in its order; where another window was faster, both versions stay within reach.
 */
export class KeptList<Document> {
  protected readonly api = inject(Api);
  protected readonly notices = inject(Notices);
  protected readonly saving: OrderedSaving<Document>;
  private readonly list: z.ZodType<readonly (Kept<Document> & { readonly id: string })[]>;
  private readonly one: z.ZodType<Kept<Document>>;

  /** what the memory holds of each, to go back to */
  private readonly lastKept = new Map<string, Document>();
  /** what this page wished last of each; what is shown may be counted anew meanwhile */
  private readonly wished = new Map<string, Document>();
  readonly entries = signal<readonly Entry<Document>[]>([]);
  readonly goneEntries = signal<readonly Entry<Document>[]>([]);

  constructor(
    private readonly path: string,
    private readonly schema: z.ZodType<Document>,
    private readonly nameOf: (document: Document) => string,
  ) {
    this.one = keptSchema(schema) as unknown as z.ZodType<Kept<Document>>;
    this.list = z.array(z.object({ id: z.string(), document: schema, revision: z.int() })) as unknown as typeof this.list;
    this.saving = new OrderedSaving((id, document, parent) => this.api.put(this.address(id), { parent, document }, this.one));
  }

  /** All as it is kept. What this page has not kept yet, and what it kept since it asked, stays as it is shown. */
  fetch(): Observable<unknown> {
    return this.api.get(this.path, this.list).pipe(
      tap((kept) => {
        const mine = this.entries().filter(({ id, document }) => this.isUnkept(id, document));
        const [here, known] = [byId(this.entries()), byId(mine)];
        const come = kept.map((one): Entry<Document> => known.get(one.id) ?? this.fetched(one, here.get(one.id)));
        const ids = new Set(kept.map(({ id }) => id));
        this.entries.set([...come, ...mine.filter(({ id }) => !ids.has(id))]);
      }),
    );
  }

  /** Whether just these are there, each as often kept: what this page has not kept yet aside. */
  standsAt(rows: readonly { readonly id: string; readonly revision: number }[]): boolean {
    const entries = byId(this.entries());
    const theirs = new Set(rows.map(({ id }) => id));
    const mine = this.entries().filter(({ id }) => !theirs.has(id));
    return (
      rows.every(({ id, revision }) => this.saving.isBusy(id) || (entries.has(id) && this.saving.revisionOf(id) === revision)) &&
      mine.every(({ id, document }) => this.isUnkept(id, document))
    );
  }

  fetchGone(): Observable<unknown> {
    return this.api
      .get(`${this.path}/gone`, this.list)
      .pipe(tap((kept) => this.goneEntries.set(kept.map(({ id, document }) => ({ id, document })))));
  }

  /**
   * Shown at once. While the memory can't be reached it stays shown, and can be tried again; what is refused is put back.
   * @returns the document once it is kept; nothing when it isn't, which is said already
   */
  put(id: string, document: Document): Observable<Document> {
    this.wished.set(id, document);
    this.show(id, document);
    const reply = this.saving.save(id, document).pipe(map((kept) => kept.document));
    reply.subscribe({
      // A reply to an older wish says nothing about what was typed since.
      next: (kept) => {
        this.lastKept.set(id, kept);
        if (!this.saving.hasNewer(id) && this.shown(id) === document) this.show(id, this.merged(document, kept));
      },
      error: (error: unknown) => this.stumble(error, id, document),
    });
    return reply.pipe(catchError(() => EMPTY));
  }

  remove(id: string, sentence: string): void {
    this.takeAway(id).subscribe({
      next: () => this.notices.undoable(sentence, () => this.bringBack(id)),
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  /** Without a word about it: for whoever undoes what has just come. */
  takeAway(id: string): Observable<unknown> {
    return this.api.remove(this.address(id)).pipe(
      tap(() => {
        const entry = this.entries().find((one) => one.id === id);
        this.entries.set(this.entries().filter((one) => one.id !== id));
        if (entry) this.goneEntries.set([entry, ...this.goneEntries()]);
      }),
    );
  }

  bringBack(id: string): void {
    this.api.post(`${this.address(id)}/restore`, {}, this.one).subscribe({
      next: (kept) => this.take(id, kept),
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  /** Takes a version that the memory holds. */
  protected take(id: string, { document, revision }: Kept<Document>): void {
    this.saving.note(id, revision);
    this.lastKept.set(id, document);
    this.goneEntries.set(this.goneEntries().filter((one) => one.id !== id));
    this.show(id, document);
  }

  /** What is shown once a document is kept; the same object, unless the memory made it another. */
  protected merged(shown: Document, kept: Document): Document {
    return JSON.stringify(shown) === JSON.stringify(kept) ? shown : kept;
  }

  protected address(id: string): string {
    return `${this.path}/${encodeURIComponent(id)}`;
  }

  /** Changes counts that aren't this page's to keep, in what is shown and in what goes back when a save is refused. */
  protected recount(edit: (document: Document) => Document): void {
    for (const [id, document] of this.lastKept) this.lastKept.set(id, edit(document));
    const shown = this.entries();
    const counted = shown.map((one) => ({ ...one, document: edit(one.document) }));
    if (counted.some(({ document }, at) => document !== shown[at].document)) this.entries.set(counted);
  }

  /** Typed here, and on its way or held up. */
  private isUnkept(id: string, document: Document): boolean {
    if (this.saving.isBusy(id)) return true;
    const kept = this.lastKept.get(id);
    return !kept || (kept !== document && JSON.stringify(kept) !== JSON.stringify(document));
  }

  private fetched(
    { id, revision, document }: Kept<Document> & { id: string },
    here: Entry<Document> | undefined,
  ): Entry<Document> {
    const known = this.saving.revisionOf(id);
    if (here && known !== null && revision < known) return here;
    this.saving.note(id, revision);
    this.lastKept.set(id, document);
    return { id, document: here ? this.merged(here.document, document) : document };
  }

  private shown(id: string): Document | undefined {
    return this.entries().find((one) => one.id === id)?.document;
  }

  private show(id: string, document: Document): void {
    const others = this.entries();
    this.goneEntries.set(this.goneEntries().filter((one) => one.id !== id));
    this.entries.set(
      others.some((one) => one.id === id)
        ? others.map((one) => (one.id === id ? { id, document } : one))
        : [...others, { id, document }],
    );
  }

  private stumble(error: unknown, id: string, mine: Document): void {
    const theirs = keptElsewhere(error, this.schema);
    if (theirs) {
      this.take(id, theirs);
      this.notices.offer(
        `${this.nameOf(theirs.document)} was changed in another window; that version is shown now.`,
        'Use mine',
        () => void this.put(id, mine),
      );
      return;
    }
    // An older wish that failed says nothing about what was typed since: the newest one is told of.
    if (this.wished.get(id) !== mine) return;
    if (error instanceof ApiError && (error.offline || error.problem.status >= 500)) {
      this.notices.failed(error, () => void this.put(id, this.shown(id) ?? mine));
      return;
    }
    const kept = this.lastKept.get(id);
    if (kept) this.show(id, kept);
    else this.entries.set(this.entries().filter((one) => one.id !== id));
    this.notices.failed(error);
  }
}
