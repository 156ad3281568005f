import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  model,
  untracked,
} from '@angular/core';
import { gramText, type Devices } from '@aurantia/core';
import {
  DRAWN,
  isNought,
  isPoured,
  nextPour,
  pourStand,
  weighable,
  weighedIn,
  type MakeStep,
  type PourPhase,
} from '@aurantia/core/make';
import { BUTTONS } from '../../parts/buttons';
import { Beside } from '../../services/beside';
import { SimulatedHands } from './simulated-hands';

/** Pours one part after the other against what it should weigh; each is taken once the scale lies still, and the next follows it. */
@Component({
  selector: 'au-weigh-in',
  imports: [BUTTONS, SimulatedHands],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './weigh-in.html',
  styleUrls: ['./aside.scss', './weigh-in.scss'],
})
export class WeighIn {
  protected readonly beside = inject(Beside);
  readonly step = input.required<MakeStep>();
  /** ml by what is measured */
  readonly poured = model<Readonly<Record<string, number>>>({});

  protected readonly target = computed(() => nextPour(this.step(), this.poured()));
  /** what is poured next, as long as it is the same */
  private readonly key = computed(() => this.target()?.key ?? null);
  /** how the part that is poured now is weighed */
  private readonly phase = linkedSignal<string | null, PourPhase>({ source: this.key, computation: () => 'waits' });
  /** something lay in the pot when the scale was last heard */
  private lay = false;
  protected readonly stand = computed(() => pourStand(this.target(), this.scale(), this.phase()));
  private readonly scale = computed(() => this.beside.scale() ?? AWAY);
  /** height of what is in, of the pot's, as it is drawn */
  protected readonly high = computed(() => (100 * this.stand().full) / DRAWN);
  protected readonly shown = computed(() => this.stand().grams?.toFixed(1) ?? null);
  /** with something in the pot, nought would forget it */
  protected readonly tares = computed(() => this.beside.weighs() && !isPoured(this.scale()));
  protected readonly reads = computed(() => {
    const target = this.target();
    return target && { grams: gramText(target.grams), planned: target.planned === null ? null : gramText(target.planned) };
  });
  /** parts that are in, with what they weighed */
  protected readonly done = computed(() => {
    const poured = this.poured();
    return weighable(this.step())
      .filter(({ key }) => key in poured)
      .map(({ key, name, where, gramsPerMl }) => ({
        key,
        name: where === null ? name : `${name}, ${where}`,
        reads: gramText(poured[key] * (gramsPerMl ?? 1)),
      }));
  });

  constructor() {
    effect(() => {
      const [key, scale] = [this.key(), this.scale()];
      untracked(() => this.heard(key, scale));
    });
    effect(() => {
      // Each part begins at nought: the scale is asked for it, and believed once it shows it.
      if (this.key() !== null && this.beside.weighs() && this.phase() === 'waits') untracked(() => this.beside.tare());
    });
    effect(() => {
      if (this.stand().takes) untracked(() => this.take());
    });
  }

  /** Takes what lies on the scale as what was poured. */
  protected take(): void {
    const [target, { grams, takeable }] = [this.target(), this.stand()];
    if (target && grams !== null && takeable) this.poured.set(weighedIn(this.step(), this.poured(), target.key, grams));
  }

  /** From the first part on again, in a clean pot. */
  protected anew(): void {
    const keys = new Set(weighable(this.step()).map(({ key }) => key));
    this.phase.set('waits');
    this.poured.set(Object.fromEntries(Object.entries(this.poured()).filter(([key]) => !keys.has(key))));
  }

  /** A scale that was lost in the middle of a part may have begun at another nought: what it shows is asked about then. */
  private heard(key: string | null, scale: Devices['scale']): void {
    if (key === null) return;
    if (scale.reach !== 'here') {
      if (this.phase() === 'weighs') this.phase.set(this.lay ? 'was away' : 'waits');
      return;
    }
    if (this.phase() === 'waits' && isNought(scale)) this.phase.set('weighs');
    this.lay = this.phase() !== 'waits' && isPoured(scale);
  }
}

/** As long as nothing is heard of it. */
const AWAY: Devices['scale'] = { reach: 'looking', simulated: false, says: null };
