import { keepHere, keptHere } from './kept-here';
import { computed, effect, Injectable, signal, DOCUMENT, inject, type DestroyRef } from '@angular/core';

/** By which light the screens are read; `computer` follows what the computer itself is set to. */
export type LightWish = 'day' | 'evening' | 'computer';

const KEY = 'aurantia.light';

/** The light of the screens at this device: a phone at the bench may be dark while the desk is not. */
@Injectable({ providedIn: 'root' })
export class RoomLight {
  private readonly root = inject(DOCUMENT).documentElement;
  private readonly computer = globalThis.matchMedia?.('(prefers-color-scheme: dark)');
  private readonly darkComputer = signal(this.computer?.matches ?? false);
  readonly wish = signal<LightWish>(kept());
  /** the bench stands under a lamp, whatever the other screens are read by */
  private readonly lamp = signal(false);
  readonly now = computed(() => {
    if (this.lamp()) return 'evening';
    const wish = this.wish();
    if (wish !== 'computer') return wish;
    return this.darkComputer() ? 'evening' : 'day';
  });

  private tokens: { readonly light: 'day' | 'evening' | null; readonly known: Map<string, string> } = {
    light: null,
    known: new Map(),
  };

  constructor() {
    this.computer?.addEventListener('change', ({ matches }) => this.darkComputer.set(matches));
    effect(() => {
      this.root.dataset['light'] = this.now();
    });
  }

  /** For as long as what asks for it is there. */
  underLamp(until: DestroyRef): void {
    this.lamp.set(true);
    until.onDestroy(() => this.lamp.set(false));
  }

  /** What a token of the screens holds, as `--peel` a colour, for what is drawn on a canvas; follows the light. */
  token(name: string): string {
    const light = this.now();
    if (this.tokens.light !== light) {
      // What is drawn anew by another light reads its colours at once, before the page has it by itself.
      this.root.dataset['light'] = light;
      this.tokens = { light, known: new Map() };
    }
    // Asking the page makes it work out its styles: too long for each step of a drag.
    const known = this.tokens.known.get(name) ?? getComputedStyle(this.root).getPropertyValue(name).trim();
    if (known !== '') this.tokens.known.set(name, known);
    return known;
  }

  choose(wish: LightWish): void {
    this.wish.set(wish);
    this.root.dataset['light'] = this.now();
    keepHere(KEY, wish);
  }
}

function kept(): LightWish {
  const kept = keptHere(KEY);
  return kept === 'evening' || kept === 'computer' ? kept : 'day';
}
