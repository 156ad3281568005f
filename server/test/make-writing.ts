import type { ShelfItem } from '@aurantia/core';
import type { LogEntry, Make, MakeLine } from '@aurantia/core/make';
import { v7 } from 'uuid';
import type { Running } from './memory';

export interface Logged {
  readonly now: number;
  readonly make: Make;
  readonly entries: readonly LogEntry[];
}

/** Makes of a running server: begun, written to, listed; and what its jars hold. */
export const makesOf = (server: () => Running) => ({
  async begin(design = 'copper-eaves', more = {}): Promise<Logged> {
    const { status, body } = await server().ask('POST', '/api/makes', { id: v7(), design, ...more });
    expect(status).toBe(201);
    return body;
  },
  write: (id: string, after: number, entry: object) =>
    server().ask('POST', `/api/makes/${id}/entries`, { after, entry: { id: v7(), ...entry } }),
  lines: async (over = false): Promise<readonly MakeLine[]> =>
    ((await server().ask('GET', `/api/makes?over=${over}`)).body as { makes: MakeLine[] }).makes,
  left: async (id: string): Promise<number | null> =>
    ((await server().ask('GET', '/api/shelf')).body as { document: ShelfItem }[]).find(({ document }) => document.id === id)
      ?.document.left ?? null,
});
