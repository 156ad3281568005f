import { inject, Injectable, signal } from '@angular/core';
import { devicesSchema, type Devices } from '@aurantia/core';
import {
  logEntrySchema,
  makeLinesSchema,
  makeSchema,
  type LogEntry,
  type Make,
  type MakeId,
  type MakeLine,
  repeatsSchema,
  roomOfMakeSchema,
  type MakeLines,
  type Repeats,
  type MakeWish,
  type RoomMoment,
} from '@aurantia/core/make';
import { map, Observable, tap } from 'rxjs';
import { v7 } from 'uuid';
import * as z from 'zod';
import { Api, ApiError } from './api';
import { Notices } from './notices';
import { WorkshopTime } from './workshop-time';

const loggedSchema = z.object({ now: z.number(), make: makeSchema, entries: z.array(logEntrySchema) });
const changeSchema = z.union([z.object({ make: z.string() }), z.object({ devices: devicesSchema })]);

export interface LoggedMake {
  readonly make: Make;
  readonly entries: readonly LogEntry[];
}

/** An entry without what the workshop's memory adds to it. */
export type NewEntry = LogEntry extends infer One
  ? One extends LogEntry
    ? Omit<One, 'id' | 'at' | 'took' | 'into' | 'jar' | 'gave'>
    : never
  : never;

/** Cups that are made: those on the bench, and one that is open. */
@Injectable({ providedIn: 'root' })
export class Makes {
  private readonly api = inject(Api);
  private readonly time = inject(WorkshopTime);
  private readonly notices = inject(Notices);

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

  begin(wish: Omit<MakeWish, 'id'>): Observable<LoggedMake> {
    return this.taken(this.api.post('makes', { id: v7(), ...wish }, loggedSchema));
  }

  one(id: string): Observable<LoggedMake> {
    return this.taken(this.api.get(`makes/${encodeURIComponent(id)}`, loggedSchema));
  }

  /** A make's file, as it was parsed; the memory checks it, and names what is wrong. */
  bringIn(file: unknown): Observable<LoggedMake> {
    return this.taken(this.api.post('makes/import', file, loggedSchema));
  }

  /** Writes what happened. */
  write({ make, entries }: LoggedMake, entry: NewEntry): Observable<LoggedMake> {
    const sent = { after: entries.length, entry: { ...entry, id: v7() } };
    return this.taken(this.api.post(`makes/${encodeURIComponent(make.id)}/entries`, sent, loggedSchema));
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
        if ('make' in read.data) page.next(read.data.make as MakeId);
        else heard?.(read.data.devices);
      };
      return () => source.close();
    });
  }

  /** What the room was like while a make went on. */
  room(id: string): Observable<readonly RoomMoment[]> {
    return this.api.get(`makes/${encodeURIComponent(id)}/room`, roomOfMakeSchema).pipe(map(({ room }) => room));
  }

  /** How near the makes of one's design are to their recipes. */
  repeats(id: string): Observable<Repeats> {
    return this.api.get(`makes/${encodeURIComponent(id)}/repeats`, repeatsSchema).pipe(map(({ repeats }) => repeats));
  }

  /** Makes of any day, done ones too. */
  found(wanted: { readonly words: string; readonly from: string | null; readonly until: string | null }): Observable<MakeLines> {
    const query = new URLSearchParams({ over: 'true', words: wanted.words });
    if (wanted.from !== null) query.set('from', wanted.from);
    if (wanted.until !== null) query.set('until', wanted.until);
    return this.api.get(`makes?${query}`, makeLinesSchema).pipe(tap(({ now }) => this.time.set(now)));
  }

  private taken(reply: Observable<z.infer<typeof loggedSchema>>): Observable<LoggedMake> {
    return reply.pipe(tap(({ now }) => this.time.set(now)));
  }
}

/** Nothing more is heard: the program refused to go on. */
export class StreamEnded extends Error {
  override readonly name = 'StreamEnded';
}

/** Whether another window wrote in between: then what it wrote has to be looked at first. */
export const wroteElsewhere = (error: unknown): boolean => error instanceof ApiError && error.problem.status === 409;
