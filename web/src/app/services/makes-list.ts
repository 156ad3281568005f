import { inject, Injectable, signal } from '@angular/core';
import { devicesSchema, type Devices } from '@aurantia/core';
import { makeLinesSchema, type MakeId, type MakeLine, type MakeLines } from '@aurantia/core/make';
import { catchError, distinctUntilChanged, EMPTY, fromEvent, map, merge, Observable, of, startWith, switchMap, tap } from 'rxjs';
import * as z from 'zod';
import { Api } from './api';
import { Following } from './following';
import { Notices } from './notices';
import { WorkshopTime } from './workshop-time';

const changeSchema = z.union([z.object({ make: z.string() }), z.object({ devices: devicesSchema })]);

/** Makes by the line: what home shows without knowing what is in one. */
@Injectable({ providedIn: 'root' })
export class MakesList {
  private readonly api = inject(Api);
  private readonly time = inject(WorkshopTime);
  private readonly notices = inject(Notices);
  private readonly following = inject(Following);

  /** on the bench, the latest first; null until they are here */
  readonly lines = signal<readonly MakeLine[] | null>(null);

  load(): void {
    this.api.get('makes', makeLinesSchema).subscribe({
      next: ({ now, makes }) => {
        this.time.set(now);
        this.lines.set(makes);
      },
      error: (error: unknown) => this.notices.failed(error, () => this.load()),
    });
  }

  /**
   * Ids of makes as they change, here or in another window.
   * @param heard is told what devices say, where that is wished
   */
  changes(heard?: (devices: Devices) => void): Observable<MakeId> {
    return new Observable((page) => {
      const source = new EventSource(`/api/makes/changes?devices=${heard !== undefined}`);
      // Broken for good: the browser takes a stream up again by itself where only the line went.
      source.onerror = () => {
        if (source.readyState === EventSource.CLOSED) page.error(new StreamEnded());
      };
      source.onmessage = ({ data }: MessageEvent<string>) => {
        const read = changeSchema.safeParse(JSON.parse(data));
        if (!read.success) return;
        if (!('make' in read.data)) return heard?.(read.data.devices);
        page.next(read.data.make as MakeId);
        // What was laid came off the shelf.
        this.following.look();
      };
      return () => source.close();
    });
  }

  /**
   * Says whenever a make changed, to a page that only shows them. While it is hidden it isn't listened for, and said once when
   * somebody comes back: a browser has six lines to a program for all its tabs, and each that listens holds one of them.
   */
  changesSeen(): Observable<unknown> {
    const looked = fromEvent(document, 'visibilitychange').pipe(
      startWith(null),
      map(() => document.visibilityState === 'visible'),
      distinctUntilChanged(),
    );
    // One that is broken for good tells nobody: what is asked next says why.
    const heard = this.changes().pipe(catchError(() => EMPTY));
    return looked.pipe(switchMap((isLooked, times) => (isLooked ? merge(times === 0 ? EMPTY : of(null), heard) : EMPTY)));
  }

  /** Makes of any day, done ones too. */
  found(wanted: { readonly words: string; readonly from: string | null; readonly until: string | null }): Observable<MakeLines> {
    const query = new URLSearchParams({ over: 'true', words: wanted.words });
    if (wanted.from !== null) query.set('from', wanted.from);
    if (wanted.until !== null) query.set('until', wanted.until);
    return this.api.get(`makes?${query}`, makeLinesSchema).pipe(tap(({ now }) => this.time.set(now)));
  }
}

/** Nothing more is heard: the program refused to go on. */
export class StreamEnded extends Error {
  override readonly name = 'StreamEnded';
}
