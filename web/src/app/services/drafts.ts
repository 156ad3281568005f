import { Injectable } from '@angular/core';
import { designSchema } from '@aurantia/core';
import { v7 } from 'uuid';
import * as z from 'zod';

const draftSchema = z.object({ parent: z.int(), document: designSchema });
export type Draft = z.infer<typeof draftSchema>;

const TAB = 'aurantia tab';
/** Not there in a page that came over the network. */
const locksHere = (): LockManager | undefined => navigator.locks;

/**
 * What was typed and isn't kept yet, in this browser's storage, so that a reload or a crash loses
 * nothing. Each tab has its own; a tab that is gone leaves its draft to the next one.
 */
@Injectable({ providedIn: 'root' })
export class Drafts {
  private readonly tab: Promise<string> = this.ownTab();

  async keep(id: string, draft: Draft): Promise<void> {
    const key = `aurantia draft/${id}/${await this.tab}`;
    try {
      localStorage.setItem(key, JSON.stringify(draft));
    } catch (error) {
      // Storage is full or forbidden: autosave still runs, so only the safety net is missing.
      console.warn('This browser keeps no drafts', error);
    }
  }

  async drop(id: string): Promise<void> {
    localStorage.removeItem(`aurantia draft/${id}/${await this.tab}`);
  }

  /** The draft of this tab, or one left by a tab that is gone, which then becomes this tab's. */
  async take(id: string): Promise<Draft | null> {
    const own = await this.tab;
    // Without locks none can be told to be gone, so that only one's own is taken.
    const locks = locksHere();
    const held = locks ? new Set((await locks.query()).held?.map((lock) => lock.name)) : null;
    for (const key of Object.keys(localStorage)) {
      const [name, design, tab] = key.split('/');
      if (name !== 'aurantia draft' || design !== id || (tab !== own && held?.has(`${TAB} ${tab}`) !== false)) continue;
      const text = localStorage.getItem(key);
      localStorage.removeItem(key);
      const read = draftSchema.safeParse(parsed(text));
      if (!read.success) continue;
      await this.keep(id, read.data);
      return read.data;
    }
    return null;
  }

  /** A name for this tab that no other living tab has; a duplicated tab brings a copied one along. */
  private async ownTab(): Promise<string> {
    const known = sessionStorage.getItem(TAB) ?? v7();
    const tab = (await hold(`${TAB} ${known}`)) ? known : v7();
    if (tab !== known) await hold(`${TAB} ${tab}`);
    sessionStorage.setItem(TAB, tab);
    return tab;
  }
}

/** Holds a lock for as long as the page lives. */
function hold(name: string): Promise<boolean> {
  const locks = locksHere();
  if (!locks) return Promise.resolve(true);
  return new Promise((resolve) => {
    void locks.request(name, { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock ? new Promise<void>(() => undefined) : undefined;
    });
  });
}

/** A draft that was cut off while it was written is no JSON, and no reason not to open the design. */
function parsed(text: string | null): unknown {
  try {
    return JSON.parse(text ?? 'null');
  } catch {
    return null;
  }
}
