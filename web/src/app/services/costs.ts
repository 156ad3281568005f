import { inject, Injectable } from '@angular/core';
import type { Design } from '@aurantia/core';
import { switchMap, type Observable } from 'rxjs';
import type { Costed, CostsRequest } from '../workers/costs-request';
import { newCostsWorker } from '../workers/new-worker';
import { Api } from './api';
import { Workers } from './workers';
import { keptDesignSchema } from './kept-designs';
import { Money } from './money';
import { WorkshopMemory } from './workshop';

/** What cups of a design cost, counted in a worker. */
@Injectable({ providedIn: 'root' })
export class Costs {
  private readonly workers = inject(Workers);
  private readonly api = inject(Api);
  private readonly memory = inject(WorkshopMemory);
  private readonly money = inject(Money);

  /** @param cups numbers of cups at once, each counted by itself */
  of(design: Design, cups: readonly number[]): Observable<Costed> {
    const request: CostsRequest = { design, workshop: this.memory.workshop(), prices: this.money.prices(), cups };
    return this.workers.ask<Costed>(newCostsWorker, request, () => true);
  }

  /** The same of a design as it is kept. */
  ofKept(design: string, cups: readonly number[]): Observable<Costed> {
    return this.api
      .get(`designs/${encodeURIComponent(design)}`, keptDesignSchema)
      .pipe(switchMap(({ document }) => this.of(document, cups)));
  }
}
