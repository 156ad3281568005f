import { inject, Injectable } from '@angular/core';
import type { CoatId, Design } from '@aurantia/core';
import type { StringFlow } from '@aurantia/core/string-flow';
import { map, type Observable } from 'rxjs';
import { newStringsWorker } from '../workers/new-worker';
import type { ComparedWays, StringsReply, StringsRequest } from '../workers/strings-request';
import { Workers } from './workers';
import { WorkshopMemory } from './workshop';

/** Has strings of colour run off the main thread. Unsubscribing stops them. */
@Injectable({ providedIn: 'root' })
export class RunningStrings {
  private readonly workers = inject(Workers);
  private readonly memory = inject(WorkshopMemory);

  /** How the strings of a coat run. Emits as far as it is known again and again, completes once nothing moves. */
  flow(design: Design, coat: CoatId): Observable<StringFlow> {
    return this.ask<Extract<StringsReply, { flow: unknown }>>({ wants: 'flow', design, coat }, ({ flow }) => flow.over).pipe(
      map(({ flow }) => flow),
    );
  }

  /** What they come to laid otherwise. Emits the same. */
  ways(design: Design, coat: CoatId): Observable<ComparedWays> {
    return this.ask<ComparedWays>({ wants: 'ways', design, coat }, ({ over }) => over);
  }

  private ask<Reply extends object>(
    wish: Omit<StringsRequest, 'workshop'>,
    isLast: (reply: Exclude<Reply, { sentence: string }>) => boolean,
  ): Observable<Exclude<Reply, { sentence: string }>> {
    const request: StringsRequest = { ...wish, workshop: this.memory.workshop() };
    return this.workers.ask<Reply>(newStringsWorker, request, isLast);
  }
}
