import { inject, Injectable, signal } from '@angular/core';
import { learntSchema, type NamedLearnt } from '@aurantia/core';
import type { Observable } from 'rxjs';
import * as z from 'zod';
import { Api } from './api';
import { Notices } from './notices';
import { WorkshopMemory } from './workshop';

/** What weighings taught, as this page knows it. */
@Injectable({ providedIn: 'root' })
export class LearntMemory {
  private readonly api = inject(Api);
  private readonly notices = inject(Notices);
  private readonly workshop = inject(WorkshopMemory);

  /** null until it is here */
  readonly all = signal<readonly NamedLearnt[] | null>(null);

  load(): void {
    this.take(this.api.get('learnt', learntSchema), () => this.load());
  }

  /** What its maker says of a reading that was asked about. */
  say(id: string, said: 'stands' | 'slip' | 'nothing'): void {
    this.take(this.api.post(`learnt/readings/${encodeURIComponent(id)}`, { said }, learntSchema));
  }

  forget(of: string): void {
    this.take(this.api.post(`learnt/${encodeURIComponent(of)}/forget`, {}, learntSchema));
  }

  private take(reply: Observable<z.infer<typeof learntSchema>>, again?: () => void): void {
    reply.subscribe({
      next: ({ learnt }) => {
        const before = this.all();
        this.all.set(learnt);
        // The shelf and the settings go by it: this page's own are fetched anew.
        if (before !== null) this.workshop.load();
      },
      error: (error: unknown) => this.notices.failed(error, again),
    });
  }
}
