import { defaultSettings, settingsSchema, type Settings } from '@aurantia/core';
import { changedElsewhere } from '../store/kept';
import type { Store } from '../store/open-store';
import { readRow } from '../store/read-row';
import { together } from '../store/together';

export interface KeptSettings {
  readonly document: Settings;
  /** 0 while they are as they come */
  readonly revision: number;
}

/** How this workshop measures, and its room. */
export class WorkshopStore {
  constructor(private readonly store: Store) {}

  async settings(): Promise<Settings> {
    return (await this.kept()).document;
  }

  /** Settings that can't be read count as the usual ones; `UnreadableRows` lists them. */
  async kept(): Promise<KeptSettings> {
    const row = await this.store.selectFrom('workshop').select(['settings', 'revision']).executeTakeFirst();
    const read = row ? readRow(row.settings, settingsSchema) : null;
    return { document: read?.ok ? read.document : defaultSettings, revision: row?.revision ?? 0 };
  }

  /** @throws ProblemError 409 with both when others were kept in between */
  setSettings(document: Settings, parent: number): Promise<KeptSettings> {
    return together(this.store, async (within) => {
      const latest = await new WorkshopStore(within).kept();
      if (latest.revision !== parent) throw changedElsewhere('workshop', latest, { document, parent });
      const row = { settings: JSON.stringify(document), revision: parent + 1 };
      await within
        .insertInto('workshop')
        .values({ id: 1, ...row })
        .onConflict((conflict) => conflict.column('id').doUpdateSet(row))
        .execute();
      return { document, revision: parent + 1 };
    });
  }
}
