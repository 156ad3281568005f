import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import type { Paired, SharingWish } from '@aurantia/core/sharing';
import { v7 } from 'uuid';
import type { Store } from '../store/open-store';

/** Bytes of chance in what a device shows each time. */
const SECRET = 32;
/** ms between two notes that a device was seen: each would be a write. */
const SEEN_AGAIN = 60_000;

const proofOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');

/** Devices that were let in: each shows a secret of its own, of which only a hash is kept. */
export class PairedStore {
  constructor(
    private readonly store: Store,
    private readonly now = () => Date.now(),
  ) {}

  all(): Promise<Paired[]> {
    return this.store.selectFrom('paired').select(['id', 'name', 'sees', 'at', 'seen']).orderBy('id').execute();
  }

  /** @returns what the device shows from now on; it isn't kept anywhere else */
  async letIn({ name, sees }: SharingWish): Promise<string> {
    const [id, secret, at] = [v7(), randomBytes(SECRET).toString('base64url'), new Date(this.now()).toISOString()];
    await this.store
      .insertInto('paired')
      .values({ id, name, sees, proof: proofOf(secret), at, seen: at })
      .execute();
    return `${id}.${secret}`;
  }

  /** @returns the device that shows this, or null when none does that is still let in */
  async known(shown: string): Promise<Paired | null> {
    const [id = '', secret = ''] = shown.split('.');
    const row = await this.store.selectFrom('paired').where('id', '=', id).selectAll().executeTakeFirst();
    if (!row || !timingSafeEqual(Buffer.from(row.proof), Buffer.from(proofOf(secret)))) return null;
    const { name, sees, at, seen } = row;
    if (this.now() - Date.parse(seen) > SEEN_AGAIN)
      await this.store
        .updateTable('paired')
        .where('id', '=', id)
        .set({ seen: new Date(this.now()).toISOString() })
        .execute();
    return { id, name, sees, at, seen };
  }

  async takeAway(id: string): Promise<void> {
    await this.store.deleteFrom('paired').where('id', '=', id).execute();
  }

  async shared(): Promise<boolean> {
    const row = await this.store.selectFrom('sharing').select('shared').executeTakeFirst();
    return row?.shared === 1;
  }

  async setShared(on: boolean): Promise<void> {
    const shared = on ? 1 : 0;
    await this.store
      .insertInto('sharing')
      .values({ id: 1, shared })
      .onConflict((conflict) => conflict.column('id').doUpdateSet({ shared }))
      .execute();
  }
}
