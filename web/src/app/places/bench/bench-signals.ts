import { computed, DestroyRef, effect, inject, Injectable, signal } from '@angular/core';
import { keepHere, keptHere } from '../../services/kept-here';
import { WorkshopTime } from '../../services/workshop-time';
import { OpenMake } from './open-make';

const KEY = 'aurantia.ring';
/** Two short tones, Hz, and s each. */
const TONES = [660, 880] as const;
const LASTS = 0.18;

/** What is heard and seen away from the bench: a tone when a time is up, a notice where the browser may give one, a screen that stays on. */
@Injectable()
export class BenchSignals {
  private readonly time = inject(WorkshopTime);
  private readonly open = inject(OpenMake);
  /** whether it rings at this device */
  readonly rings = signal(keptHere(KEY) !== 'no');
  private sound: AudioContext | null = null;
  private lock: WakeLockSentinel | null = null;
  /** ms since 1970 up to which times that were up have been told */
  private told = this.time.now();
  private readonly laying = computed(() => this.open.bench()?.state === 'at the bench');

  constructor() {
    effect(() => {
      const now = this.time.now();
      const up = (this.open.bench()?.timers ?? []).filter(({ until }) => until > this.told && until <= now);
      this.told = now;
      if (up.length > 0 && this.rings()) this.ring(up.map(({ then }) => then).join('. '));
    });
    effect(() => void this.stayOn(this.laying()));
    inject(DestroyRef).onDestroy(() => {
      void this.stayOn(false);
      void this.sound?.close();
    });
  }

  /** The browser is asked for notices once, and by a press alone. */
  choose(rings: boolean): void {
    this.rings.set(rings);
    keepHere(KEY, rings ? 'yes' : 'no');
    if (rings && 'Notification' in globalThis && Notification.permission === 'default') void Notification.requestPermission();
  }

  private ring(says: string): void {
    if ('AudioContext' in globalThis) {
      this.sound ??= new AudioContext();
      const { currentTime, destination } = this.sound;
      TONES.forEach((frequency, i) => {
        const tone = new OscillatorNode(this.sound as AudioContext, { frequency });
        const volume = new GainNode(this.sound as AudioContext, { gain: 0.2 });
        tone.connect(volume).connect(destination);
        tone.start(currentTime + i * LASTS);
        tone.stop(currentTime + (i + 1) * LASTS);
      });
    }
    if (document.hidden && 'Notification' in globalThis && Notification.permission === 'granted')
      new Notification(this.open.logged()?.make.design.name ?? 'Aurantia', { body: says, tag: 'aurantia bench' });
  }

  /** Not every browser has it, and none gives it to a page that isn't looked at: then the screen goes off as it always did. */
  private async stayOn(on: boolean): Promise<void> {
    if (!on) {
      await this.lock?.release();
      this.lock = null;
      return;
    }
    if (this.lock || !('wakeLock' in navigator)) return;
    try {
      this.lock = await navigator.wakeLock.request('screen');
    } catch {
      // Refused: there is nothing to do about it, and nothing is lost by it.
      this.lock = null;
    }
  }
}
