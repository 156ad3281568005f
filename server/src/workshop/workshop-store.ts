import { defaultSettings, settingsSchema, type Settings } from '@aurantia/core';
import type { Store } from '../store/open-store';

/** How this workshop measures, and its room. */
export class WorkshopStore {
  constructor(private readonly store: Store) {}

  async settings(): Promise<Settings> {
    const row = await this.store.selectFrom('workshop').select('settings').executeTakeFirst();
    return row ? settingsSchema.parse(JSON.parse(row.settings)) : defaultSettings;
  }

  async setSettings(settings: Settings): Promise<Settings> {
    const text = JSON.stringify(settings);
    await this.store
      .insertInto('workshop')
      .values({ id: 1, settings: text })
      .onConflict((conflict) => conflict.column('id').doUpdateSet({ settings: text }))
      .execute();
    return settings;
  }
}
