import { finalize, Observable, ReplaySubject } from 'rxjs';
import * as z from 'zod';
import { ApiError } from './api';

/** A document as the workshop's memory keeps it, with how often it was kept. */
export interface Kept<Document> {
  readonly document: Document;
  readonly revision: number;
}

export const keptSchema = <Schema extends z.ZodType>(document: Schema) => z.object({ document, revision: z.int() });

interface Waiting<Document> {
  readonly document: Document;
  readonly reply: ReplaySubject<Kept<Document>>;
}

interface Line<Document> {
  /** what was kept last, as far as this page knows; null for what isn't kept yet */
  revision: number | null;
  busy: boolean;
  waiting: readonly Waiting<Document>[];
}

/**
 * Saves that keep their order: of one document only one is under way at a time, each on top of the
 * last kept, and of those that wait only the newest is sent.
 */
export class OrderedSaving<Document> {
  private readonly lines = new Map<string, Line<Document>>();

  constructor(private readonly send: (id: string, document: Document, parent: number | null) => Observable<Kept<Document>>) {}

  /** What the memory holds of a document; null when it holds none. */
  note(id: string, revision: number | null): void {
    this.line(id).revision = revision;
  }

  revisionOf(id: string): number | null {
    return this.line(id).revision;
  }

  /** Whether something newer of it waits, so that a reply isn't the last word. */
  hasNewer(id: string): boolean {
    return this.line(id).waiting.length > 0;
  }

  /** Whether one of it is under way, or waits to be. */
  isBusy(id: string): boolean {
    const { busy, waiting } = this.line(id);
    return busy || waiting.length > 0;
  }

  /** Whether a revision that was fetched is news here: what was changed since it was asked for is newer, or on its way. */
  isNews(id: string, revision: number): boolean {
    return !this.isBusy(id) && revision > (this.revisionOf(id) ?? -1);
  }

  /** @returns the document as it was kept, which may be a newer one that was waiting too */
  save(id: string, document: Document): Observable<Kept<Document>> {
    const reply = new ReplaySubject<Kept<Document>>(1);
    const line = this.line(id);
    line.waiting = [...line.waiting, { document, reply }];
    this.next(id, line);
    return reply.asObservable();
  }

  private next(id: string, line: Line<Document>): void {
    const { waiting } = line;
    const newest = waiting.at(-1);
    if (line.busy || !newest) return;
    line.busy = true;
    line.waiting = [];
    this.send(id, newest.document, line.revision)
      .pipe(
        finalize(() => {
          line.busy = false;
          this.next(id, line);
        }),
      )
      .subscribe({
        next: (kept) => {
          line.revision = kept.revision;
          for (const { reply } of waiting) reply.next(kept);
        },
        complete: () => waiting.forEach(({ reply }) => reply.complete()),
        // What waits was typed on top of what wasn't kept: sent now, it might go over another window's version unseen.
        error: (error: unknown) => {
          const all = [...waiting, ...line.waiting];
          line.waiting = [];
          all.forEach(({ reply }) => reply.error(error));
        },
      });
  }

  private line(id: string): Line<Document> {
    const known = this.lines.get(id);
    if (known) return known;
    const line: Line<Document> = { revision: null, busy: false, waiting: [] };
    this.lines.set(id, line);
    return line;
  }
}

/** The version that another window kept in between, when that is why a save was refused. */
export function keptElsewhere<Document>(error: unknown, document: z.ZodType<Document>): Kept<Document> | null {
  if (!(error instanceof ApiError) || error.problem.status !== 409) return null;
  const read = z.looseObject({ latest: keptSchema(document) }).safeParse(error.problem);
  return read.success ? read.data.latest : null;
}
