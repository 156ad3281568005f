import { inject, Injectable, signal } from '@angular/core';
import * as z from 'zod';
import { Api } from './api';
import { Notices } from './notices';

const unreadableSchema = z.object({ kind: z.string(), id: z.string(), reason: z.string(), text: z.string() });
export type Unreadable = z.infer<typeof unreadableSchema>;

/** What the workshop's memory holds and can't read: told on the first page, which needs nothing else of what is kept safe. */
@Injectable({ providedIn: 'root' })
export class UnreadableThings {
  private readonly api = inject(Api);
  private readonly notices = inject(Notices);
  readonly rows = signal<readonly Unreadable[]>([]);

  /** @param anew every document is tried again, not only what was found lately */
  look(anew = false): void {
    this.api.get(`workshop/unreadable?anew=${anew}`, z.array(unreadableSchema)).subscribe({
      next: (rows) => this.rows.set(rows),
      error: (error: unknown) => this.notices.failed(error),
    });
  }
}
