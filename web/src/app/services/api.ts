import { HttpClient, HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { catchError, map, throwError, type Observable } from 'rxjs';
import * as z from 'zod';

const problemSchema = z.looseObject({
  title: z.string(),
  status: z.number(),
  detail: z.string(),
  faults: z.array(z.object({ path: z.string(), sentence: z.string() })).optional(),
});
type Problem = z.infer<typeof problemSchema>;

/** A request that didn't come through, as a sentence; status 0 when the program can't be reached. */
export class ApiError extends Error {
  override readonly name = 'ApiError';
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }

  get offline(): boolean {
    return this.problem.status === 0;
  }
}

/** Talks to the workshop's memory; every reply is read through its schema. */
@Injectable({ providedIn: 'root' })
export class Api {
  private readonly http = inject(HttpClient);

  get<T>(path: string, schema: z.ZodType<T>): Observable<T> {
    return this.read(this.http.get<unknown>(`/api/${path}`), schema);
  }

  post<T>(path: string, body: unknown, schema: z.ZodType<T>): Observable<T> {
    return this.read(this.http.post<unknown>(`/api/${path}`, body), schema);
  }

  put<T>(path: string, body: unknown, schema: z.ZodType<T>): Observable<T> {
    return this.read(this.http.put<unknown>(`/api/${path}`, body), schema);
  }

  sendZip<T>(path: string, zip: Blob, schema: z.ZodType<T>): Observable<T> {
    const headers = { 'content-type': 'application/zip' };
    return this.read(this.http.post<unknown>(`/api/${path}`, zip, { headers }), schema);
  }

  /** A file as it is. */
  putFile<T>(path: string, file: Blob, schema: z.ZodType<T>): Observable<T> {
    const headers = { 'content-type': 'application/octet-stream' };
    return this.read(this.http.put<unknown>(`/api/${path}`, file, { headers }), schema);
  }

  removed<T>(path: string, schema: z.ZodType<T>): Observable<T> {
    return this.read(this.http.delete<unknown>(`/api/${path}`), schema);
  }

  remove(path: string): Observable<unknown> {
    return this.read(this.http.delete<unknown>(`/api/${path}`), z.unknown());
  }

  private read<T>(reply: Observable<unknown>, schema: z.ZodType<T>): Observable<T> {
    return reply.pipe(
      catchError((error: unknown) => throwError(() => problemOf(error))),
      map((body) => schema.parse(body)),
    );
  }
}

function problemOf(error: unknown): ApiError {
  const offline = {
    title: 'Not reached',
    status: 0,
    detail: 'Aurantia can’t be reached, so this didn’t come through. Start it again, then try once more.',
  };
  if (!(error instanceof HttpErrorResponse) || error.status === 0) return new ApiError(offline);
  const body: unknown = typeof error.error === 'string' ? safeJson(error.error) : error.error;
  const read = problemSchema.safeParse(body);
  return new ApiError(
    read.success
      ? read.data
      : { title: 'Not understood', status: error.status, detail: 'The reply can’t be read. Reload the page.' },
  );
}

function safeJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    // A reply that is no JSON is reported by whoever reads it, with its status.
    return null;
  }
}
