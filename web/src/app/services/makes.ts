import { inject, Injectable } from '@angular/core';
import {
  logEntrySchema,
  makeSchema,
  type LogEntry,
  type Make,
  repeatsSchema,
  roomOfMakeSchema,
  type Repeats,
  type MakeWish,
  type RoomMoment,
} from '@aurantia/core/make';
import { map, Observable, tap } from 'rxjs';
import { v7 } from 'uuid';
import * as z from 'zod';
import { Api, ApiError } from './api';
import { WorkshopTime } from './workshop-time';

const loggedSchema = z.object({ now: z.number(), make: makeSchema, entries: z.array(logEntrySchema) });

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

/** Makes that are opened, begun and written to; a list of them is had without, see `MakesList`. */
@Injectable({ providedIn: 'root' })
export class Makes {
  private readonly api = inject(Api);
  private readonly time = inject(WorkshopTime);

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

  /** What the room was like while a make went on. */
  room(id: string): Observable<readonly RoomMoment[]> {
    return this.api.get(`makes/${encodeURIComponent(id)}/room`, roomOfMakeSchema).pipe(map(({ room }) => room));
  }

  /** How near the makes of one's design are to their recipes. */
  repeats(id: string): Observable<Repeats> {
    return this.api.get(`makes/${encodeURIComponent(id)}/repeats`, repeatsSchema).pipe(map(({ repeats }) => repeats));
  }

  private taken(reply: Observable<z.infer<typeof loggedSchema>>): Observable<LoggedMake> {
    return reply.pipe(tap(({ now }) => this.time.set(now)));
  }
}

/** Whether another window wrote in between: then what it wrote has to be looked at first. */
export const wroteElsewhere = (error: unknown): boolean => error instanceof ApiError && error.problem.status === 409;
