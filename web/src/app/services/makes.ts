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
  type MakeWish,
} from '@aurantia/core/make';
import { map, Observable, tap } from 'rxjs';
import { v7 } from 'uuid';
import * as z from 'zod';
import { Api, ApiError } from './api';
import { Notices } from './notices';
import { WorkshopTime } from './workshop-time';

const loggedSchema = z.object({ now: z.number(), make: makeSchema, entries: z.array(logEntrySchema) });
const roomSchema = z.object({
  room: z.array(z.object({ at: z.number(), celsius: z.number(), humidity: z.number().nullable() })),
});
const changeSchema = z.union([z.object({ make: z.string() }), z.object({ devices: devicesSchema })]);

export interface LoggedMake {
  readonly make: Make;
  readonly entries: readonly LogEntry[];
}

/** An entry without what the workshop's memory adds to it. */
export type NewEntry = LogEntry extends infer One ? (One extends LogEntry ? Omit<One, 'id' | 'at' | 'took'> : never) : never;

/** Cups that are made: those on the bench, and one that is open. */
@Injectable({ providedIn: 'root' })
export class Makes {
  private readonly api = inject(Api);
  private readonly time = inject(WorkshopTime);
  private readonly notices = inject(Notices);

  /** on the bench, the latest first; null until they are here */
  readonly lines = signal<readonly MakeLine[] | null>(null);

  load(over = false): void {
    this.api.get(`makes?over=${over}`, makeLinesSchema).subscribe({
      next: ({ now, makes }) => {
        this.time.set(now);
        this.lines.set(makes);
      },
      error: (error: unknown) => this.notices.failed(error, () => this.load(over)),
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
  room(id: string): Observable<z.infer<typeof roomSchema>['room']> {
    return this.api.get(`makes/${encodeURIComponent(id)}/room`, roomSchema).pipe(map(({ room }) => room));
  }

  private taken(reply: Observable<z.infer<typeof loggedSchema>>): Observable<LoggedMake> {
    return reply.pipe(tap(({ now }) => this.time.set(now)));
  }
}

/** Whether another window wrote in between: then what it wrote has to be looked at first. */
export const wroteElsewhere = (error: unknown): boolean => error instanceof ApiError && error.problem.status === 409;
