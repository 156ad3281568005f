import { ChangeDetectionStrategy, Component, computed, effect, inject, input, model, signal, untracked } from '@angular/core';
import { gramText, tidy } from '@aurantia/core';
import { nextPour, pourState, weighable, type MakeStep } from '@aurantia/core/make';
import { BUTTONS } from '../../parts/buttons';
import { Beside } from '../../services/beside';
import { SimulatedHands } from './simulated-hands';

/** g either side of nothing that a tared scale may show. */
const NOUGHT = 0.15;

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
  /** the part for which the scale came to nought: before that, what it shows is of the one before */
  private readonly tared = signal<string | null>(null);
  protected readonly grams = computed(() => {
    const says = this.beside.scale()?.says;
    return says?.says === 'weight' ? says.grams : null;
  });
  protected readonly shown = computed(() => this.grams()?.toFixed(1) ?? 'nothing');
  private readonly steady = computed(() => {
    const says = this.beside.scale()?.says;
    return says?.says === 'weight' && says.steady;
  });
  protected readonly ready = computed(() => this.key() !== null && this.tared() === this.key());
  protected readonly state = computed(() => {
    const [target, grams] = [this.target(), this.grams()];
    return target && grams !== null && this.ready() ? pourState(target.grams, grams) : null;
  });
  /** share of the target that is in, as it is drawn */
  protected readonly full = computed(() => {
    const [target, grams] = [this.target(), this.grams()];
    return target && grams !== null && this.ready() ? Math.min(1.15, Math.max(0, grams / target.grams)) : 0;
  });
  protected readonly reads = computed(() => {
    const target = this.target();
    return target && { grams: gramText(target.grams), planned: target.planned === null ? null : gramText(target.planned) };
  });
  protected readonly says = computed(() => {
    const scale = this.beside.scale();
    if (!scale || scale.reach !== 'here' || !scale.says)
      return 'The scale can’t be reached. Plug it in again; or type what was poured under “Used another amount”.';
    if (scale.says.says === 'overload') return 'That is more than the scale carries. Take something off it.';
    const { grams } = scale.says;
    const target = this.target();
    if (!target) return 'All of it is weighed in.';
    if (!this.ready()) return 'Put the pot on; the scale is set to nought.';
    if (grams < -NOUGHT) return `The scale is ${gramText(-grams)} below nought: put the pot back, or set it to nought again.`;
    switch (pourState(target.grams, grams)) {
      case 'empty':
        return `Pour ${gramText(target.grams)}.`;
      case 'pouring':
        return `${gramText(target.grams - grams)} to go.`;
      case 'nearly':
        return `Slowly now: ${gramText(target.grams - grams)} to go.`;
      case 'there':
        return 'Stop. Let it lie still.';
      case 'over':
        return `${gramText(grams - target.grams)} over. Let it lie still: what comes next follows it.`;
    }
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
  protected readonly takeable = computed(() => this.ready() && this.steady() && (this.grams() ?? 0) > NOUGHT);

  constructor() {
    // Each part begins at nought: the scale is asked for it once, and believed when it shows it.
    effect(() => {
      if (this.key() !== null && this.beside.weighs()) untracked(() => this.beside.tare());
    });
    effect(() => {
      const [key, grams] = [this.key(), this.grams()];
      if (key !== null && grams !== null && Math.abs(grams) <= NOUGHT && this.steady()) this.tared.set(key);
    });
    effect(() => {
      const state = this.state();
      if ((state === 'there' || state === 'over') && this.steady()) untracked(() => this.take());
    });
  }

  /** Takes what lies on the scale as what was poured. */
  protected take(): void {
    const [target, grams] = [this.target(), this.grams()];
    if (!target || grams === null || !this.takeable()) return;
    const perMl = this.step().amounts.find(({ key }) => key === target.key)?.gramsPerMl ?? 1;
    this.poured.set({ ...this.poured(), [target.key]: tidy(grams / perMl) });
  }

  /** From the first part on again, in a clean pot. */
  protected anew(): void {
    const keys = new Set(weighable(this.step()).map(({ key }) => key));
    this.tared.set(null);
    this.poured.set(Object.fromEntries(Object.entries(this.poured()).filter(([key]) => !keys.has(key))));
    this.beside.tare();
  }
}
