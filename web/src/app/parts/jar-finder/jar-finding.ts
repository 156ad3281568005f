import { inject, Injectable, Injector, signal } from '@angular/core';
import type { ShelfItem } from '@aurantia/core';
import { firstValueFrom } from 'rxjs';
import type { JarWish } from './jar-finder';

/** How many jars stand in front as used lately. */
const LATELY = 6;

/** Lets a maker choose a jar, wherever one is wanted. */
@Injectable({ providedIn: 'root' })
export class JarFinding {
  private readonly injector = inject(Injector);
  /** ids of what was chosen since the page was opened, the latest first */
  private readonly chosen = signal<readonly string[]>([]);

  /**
   * @param wish what is left out of it has no say
   * @returns null when nothing was chosen
   */
  async choose(wish: Pick<JarWish, 'kind'> & Partial<JarWish>): Promise<ShelfItem | null> {
    const [{ MatDialog }, { JarFinder }] = await Promise.all([import('@angular/material/dialog'), import('./jar-finder')]);
    const lately = [...new Set([...this.chosen(), ...(wish.lately ?? [])])].slice(0, LATELY);
    const data: JarWish = { without: [], near: null, nearWhat: '', ...wish, lately };
    const dialog = this.injector.get(MatDialog).open<unknown, JarWish, ShelfItem>(JarFinder, {
      data,
      width: '720px',
      maxWidth: '96vw',
      autoFocus: 'input',
    });
    const item = (await firstValueFrom(dialog.afterClosed())) ?? null;
    if (item) this.chosen.update((before) => [item.id, ...before.filter((id) => id !== item.id)]);
    return item;
  }
}
