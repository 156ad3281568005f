import { inject, Injectable } from '@angular/core';
import type { CoatId, Design } from '@aurantia/core';
import type { OtherWay, StringFlow } from '@aurantia/core/string-flow';
import { map, Observable, takeWhile } from 'rxjs';
import { newStringsWorker, workerFailed } from '../workers/new-worker';
import type { StringsReply, StringsRequest } from '../workers/strings-request';
import { WorkshopMemory } from './workshop';

/** Has strings of colour run off the main thread. Unsubscribing stops them. */
@Injectable({ providedIn: 'root' })
export class RunningStrings {
  private readonly memory = inject(WorkshopMemory);

  /** How the strings of a coat run. Emits as far as it is known again and again, completes once nothing moves. */
  flow(design: Design, coat: CoatId): Observable<StringFlow> {
    return this.ask({ wants: 'flow', design, coat }).pipe(
      map((reply) => ('flow' in reply ? reply.flow : { moments: [], progress: 1, over: true })),
      takeWhile(({ over }) => !over, true),
    );
  }

  /** What they come to laid otherwise. Emits the same. */
  ways(design: Design, coat: CoatId): Observable<{ readonly ways: readonly OtherWay[]; readonly over: boolean }> {
    return this.ask({ wants: 'ways', design, coat }).pipe(
      map((reply) => ('ways' in reply ? reply : { ways: [], over: true })),
      takeWhile(({ over }) => !over, true),
    );
  }

  private ask(wish: Omit<StringsRequest, 'workshop'>): Observable<StringsReply> {
    return new Observable((subscriber) => {
      const worker = newStringsWorker();
      worker.onmessage = ({ data }: MessageEvent<StringsReply>) => {
        if ('sentence' in data) subscriber.error(new Error(data.sentence));
        else subscriber.next(data);
      };
      worker.onerror = (event) => subscriber.error(new Error(workerFailed(event)));
      worker.postMessage({ ...wish, workshop: this.memory.workshop() } satisfies StringsRequest);
      return () => worker.terminate();
    });
  }
}
