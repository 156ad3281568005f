import { inject, Injectable } from '@angular/core';
import type { Design, Otherwise } from '@aurantia/core';
import { map, Observable } from 'rxjs';
import { newSuggestionsWorker, workerFailed } from '../workers/new-worker';
import type { SuggestionsReply, SuggestionsRequest } from '../workers/suggestions-request';
import { WorkshopMemory } from './workshop';

/** Has coats planned off the main thread. */
@Injectable({ providedIn: 'root' })
export class SuggestedCoats {
  private readonly memory = inject(WorkshopMemory);

  /** The design with a whole plan of coats. Emits once. */
  whole(design: Design): Observable<Design> {
    return this.ask('whole', design).pipe(map((reply) => ('whole' in reply ? reply.whole : design)));
  }

  /** What a suggested plan would do otherwise. Emits once. */
  otherwise(design: Design): Observable<readonly Otherwise[]> {
    return this.ask('otherwise', design).pipe(map((reply) => ('otherwise' in reply ? reply.otherwise : [])));
  }

  /** Unsubscribing ends the work. */
  private ask(wants: SuggestionsRequest['wants'], design: Design): Observable<SuggestionsReply> {
    return new Observable((subscriber) => {
      const worker = newSuggestionsWorker();
      worker.onmessage = ({ data }: MessageEvent<SuggestionsReply>) => {
        if ('sentence' in data) subscriber.error(new Error(data.sentence));
        else {
          subscriber.next(data);
          subscriber.complete();
        }
      };
      worker.onerror = (event) => subscriber.error(new Error(workerFailed(event)));
      worker.postMessage({ wants, design, workshop: this.memory.workshop() } satisfies SuggestionsRequest);
      return () => worker.terminate();
    });
  }
}
