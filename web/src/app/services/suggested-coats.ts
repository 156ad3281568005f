import { inject, Injectable } from '@angular/core';
import type { Design, Otherwise } from '@aurantia/core';
import type { InkWish, OfferedPots } from '@aurantia/core/ink-pot';
import { map, type Observable } from 'rxjs';
import { newSuggestionsWorker } from '../workers/new-worker';
import type { DepthAnswer, DepthWish, SuggestionsReply, SuggestionsRequest } from '../workers/suggestions-request';
import { Workers } from './workers';
import { WorkshopMemory } from './workshop';

/** What is asked, without what it is asked of. */
type Wish =
  | { readonly wants: 'whole' | 'otherwise' }
  | { readonly wants: 'depth'; readonly wish: DepthWish }
  | { readonly wants: 'inks'; readonly wish: InkWish };

/** Has coats planned off the main thread. */
@Injectable({ providedIn: 'root' })
export class SuggestedCoats {
  private readonly workers = inject(Workers);
  private readonly memory = inject(WorkshopMemory);

  /** The design with a whole plan of coats. Emits once. */
  whole(design: Design): Observable<Design> {
    return this.ask({ wants: 'whole' }, design).pipe(map((reply) => ('whole' in reply ? reply.whole : design)));
  }

  /** What a suggested plan would do otherwise. Emits once. */
  otherwise(design: Design): Observable<readonly Otherwise[]> {
    return this.ask({ wants: 'otherwise' }, design).pipe(map((reply) => ('otherwise' in reply ? reply.otherwise : [])));
  }

  /** What a tinted coat comes to in one, two and three coats, and the drops for a colour. Emits once. */
  depth(design: Design, wish: DepthWish): Observable<DepthAnswer> {
    return this.ask({ wants: 'depth', wish }, design).pipe(
      map((reply) => ('depth' in reply ? reply.depth : { after: [], depths: [], bases: [], spread: null })),
    );
  }

  /** Which inks of the shelf come near a colour. Emits the best known again and again, completes when all is proven. */
  inks(design: Design, wish: InkWish): Observable<OfferedPots> {
    return this.ask({ wants: 'inks', wish }, design).pipe(
      map((reply) => ('inks' in reply ? reply.inks : { pots: [], progress: 1, over: true })),
    );
  }

  private ask(wish: Wish, design: Design): Observable<Exclude<SuggestionsReply, { sentence: string }>> {
    const request: SuggestionsRequest = { ...wish, design, workshop: this.memory.workshop() };
    return this.workers.ask<SuggestionsReply>(newSuggestionsWorker, request, (reply) => !('inks' in reply) || reply.inks.over);
  }
}
