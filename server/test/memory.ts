import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { FastifyInstance, InjectOptions } from 'fastify';
import { designFileSchema, type DesignFile } from '@aurantia/core';
import { createApp } from '../src/app';
import { Aside } from '../src/aside/aside';
import { Threads } from '../src/aside/threads';
import { fillWithDemo } from '../src/demo';
import { memoryOf } from '../src/memory';
import type { DevicesHere } from '../src/devices/devices';
import type { WorkshopClock } from '../src/workshop/clock';
import { openStore, type Store } from '../src/store/open-store';

export const newFile = (): string => join(mkdtempSync(join(tmpdir(), 'aurantia-test-')), 'workshop.sqlite');

/** Threads for all workshops of the tests: a new one takes a second to read what it leans on. */
const threads = new Threads();

export interface Running {
  readonly app: FastifyInstance;
  readonly store: Store;
  readonly clock: WorkshopClock;
  readonly devices: DevicesHere;
  ask(
    method: 'GET' | 'PUT' | 'POST' | 'DELETE',
    url: string,
    body?: unknown,
    headers?: Record<string, string>,
  ): Promise<{ status: number; body: never; headers: Record<string, unknown> }>;
  stop(): Promise<void>;
}

/** The whole server on a real file, spoken to over its own routes; it paints only where a test looks at pictures. */
export async function running(file = newFile(), demo = false, pictures = false): Promise<Running> {
  const store = await openStore(file);
  const memory = memoryOf(store, file, { aside: new Aside(file, threads), pictures });
  if (demo) await fillWithDemo(memory);
  const app = await createApp(memory, null, { logged: false });
  return {
    app,
    store,
    clock: memory.clock,
    devices: memory.devices,
    async ask(method, url, body, headers = {}) {
      const request: InjectOptions = { method, url, headers: { host: '127.0.0.1:4310', ...headers } };
      if (body !== undefined) request.payload = typeof body === 'string' ? body : JSON.stringify(body);
      if (body !== undefined) request.headers = { 'content-type': 'application/json', ...request.headers };
      const reply = await app.inject(request);
      const text = reply.body;
      return {
        status: reply.statusCode,
        headers: reply.headers,
        body: (/json/.test(String(reply.headers['content-type'])) ? JSON.parse(text) : text) as never,
      };
    },
    async stop() {
      await app.close();
      await store.destroy();
    },
  };
}

export const demoFile = (name: string): DesignFile =>
  designFileSchema.parse(
    JSON.parse(readFileSync(join(import.meta.dirname, '..', '..', 'demo', 'designs', `${name}.json`), 'utf8')),
  );
