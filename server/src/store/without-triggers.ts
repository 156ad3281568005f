import { sql } from 'kysely';
import type { Store } from './open-store';

/** Does work that what is final for everybody else may be changed by, with its triggers aside until it is done. To be called in a transaction. */
export async function withoutTriggers(within: Store, work: () => Promise<void>): Promise<void> {
  const { rows: triggers } = await sql<{ name: string; sql: string }>`
    select name, sql from sqlite_master where type = 'trigger'`.execute(within);
  for (const { name } of triggers) await sql`drop trigger ${sql.ref(name)}`.execute(within);
  await work();
  for (const trigger of triggers) await sql.raw(trigger.sql).execute(within);
}
