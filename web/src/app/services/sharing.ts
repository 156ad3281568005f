import { inject, Injectable, signal } from '@angular/core';
import { sharingSchema, type Sharing, type SharingWish } from '@aurantia/core/sharing';
import { EMPTY, interval, startWith, switchMap, tap, type Observable } from 'rxjs';
import * as z from 'zod';
import { Api } from './api';

/** ms between two looks whether the device that was waited for has come in. */
const LOOK = 1500;

/** The workshop as it is shared with devices on the network. */
@Injectable({ providedIn: 'root' })
export class SharingMemory {
  private readonly api = inject(Api);
  /** null until it is known */
  readonly sharing = signal<Sharing | null>(null);

  load(): Observable<Sharing> {
    return this.taken(this.api.get('sharing', sharingSchema));
  }

  /** Looks again and again while a code waits, for as long as somebody listens. */
  watch(): Observable<Sharing> {
    return interval(LOOK).pipe(
      startWith(0),
      switchMap((time) => (time === 0 || this.sharing()?.code ? this.load() : EMPTY)),
    );
  }

  turn(on: boolean): Observable<Sharing> {
    return this.taken(this.api.put('sharing', { on }, sharingSchema));
  }

  drawCode(wish: SharingWish): Observable<Sharing> {
    return this.taken(this.api.post('sharing/code', wish, sharingSchema));
  }

  voidCode(): Observable<Sharing> {
    return this.taken(this.api.removed('sharing/code', sharingSchema));
  }

  takeAway(id: string): Observable<Sharing> {
    return this.taken(this.api.removed(`sharing/paired/${encodeURIComponent(id)}`, sharingSchema));
  }

  /** At a device: the code that the workshop's screen shows. */
  pair(code: string): Observable<unknown> {
    return this.api.post('sharing/pair', { code }, z.unknown());
  }

  private taken(reply: Observable<Sharing>): Observable<Sharing> {
    return reply.pipe(tap((sharing) => this.sharing.set(sharing)));
  }
}
