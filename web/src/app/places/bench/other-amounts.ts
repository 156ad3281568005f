import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, model } from '@angular/core';
import { amountText, gramText, thicknessText } from '@aurantia/core';
import { answerPour, reallyPoured, whyNotPoured, type MakeAmount, type MakeStep } from '@aurantia/core/make';
import { BUTTONS } from '../../parts/buttons';
import { NumberField } from '../../parts/fields/number-field';
import { WorkshopMemory } from '../../services/workshop';

/** Amounts as they really were; for resin what saves the ratio is answered at once. */
@Component({
  selector: 'au-other-amounts',
  imports: [BUTTONS, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>What it really was</h3>
    <div class="fields">
      @for (amount of step().amounts; track amount.key) {
        <au-number
          [label]="amount.where === null ? amount.name : amount.name + ', ' + amount.where"
          [measure]="amount.unit === 'ml' ? 'ml' : 'plain'"
          [gramsPerMl]="amount.gramsPerMl"
          [unitName]="amount.unit === 'ml' ? '' : amount.unit + 's'"
          [value]="really(amount)"
          [refused]="refused()[amount.key] ?? null"
          (valueChange)="type(amount, $event)"
        />
      }
    </div>
    @if (answer(); as answer) {
      <p class="answer" role="status">
        {{ answer.says }}
        @if (answer.take; as take) {
          <button type="button" matButton="filled" (click)="pour(take.key, take.ml)">{{ take.label }}</button>
        }
      </p>
    }
  `,
  styleUrl: './aside.scss',
})
export class OtherAmounts {
  private readonly memory = inject(WorkshopMemory);
  readonly step = input.required<MakeStep>();
  readonly poured = model<Readonly<Record<string, number>>>({});
  /** by what is measured, why what was typed for it can't be; what it was before stays */
  protected readonly refused = linkedSignal<MakeStep, Readonly<Record<string, string | null>>>({
    source: this.step,
    computation: () => ({}),
  });
  /** which part of a resin was typed last: the other one follows it */
  private last: 'a' | 'b' = 'a';

  protected readonly answer = computed(() => {
    const [step, poured] = [this.step(), this.poured()];
    const typed = this.last in poured ? this.last : 'a' in poured ? 'a' : 'b' in poured ? 'b' : null;
    const answer = typed && answerPour(step, typed, poured[typed]);
    if (!answer) return null;
    const other: 'a' | 'b' = typed === 'a' ? 'b' : 'a';
    const units = this.memory.settings().units;
    const planned = step.amounts.find(({ key }) => key === other);
    const reads = amountText(answer.other, units, answer.otherGrams / Math.max(1e-9, answer.other));
    const weighed = units.amount === 'gram' ? '' : ` (${gramText(answer.otherGrams)})`;
    const name = other === 'a' ? 'Part A' : 'Part B';
    const there = poured[other] ?? planned?.amount;
    const settled = there !== undefined && Math.abs(there - answer.other) < 0.05;
    const film = answer.film > 0 ? `a film of ${thicknessText(answer.film)}` : 'less than glitter and pot soak up: mix more';
    const leave =
      answer.leave > 0
        ? ` Leave ${amountText(answer.leave, { ...units, amount: 'ml' }, 1)} in the pot: all of it would run.`
        : '';
    return {
      says: `${name} is ${reads}${weighed} then: together ${amountText(answer.mix, { ...units, amount: 'ml' }, 1)}, ${film}.${leave}`,
      take: settled ? null : { key: other, ml: answer.other, label: `Pour ${reads} of ${name}` },
    };
  });

  protected really(amount: MakeAmount): number {
    return reallyPoured(amount, this.poured());
  }

  protected type({ key, amount }: MakeAmount, typed: number | null): void {
    const why = typed === null ? null : whyNotPoured(typed);
    this.refused.set({ ...this.refused(), [key]: why });
    if (why !== null) return;
    if (key === 'a' || key === 'b') this.last = key;
    // As it was planned is no other amount.
    const others = Object.fromEntries(Object.entries(this.poured()).filter(([one]) => one !== key));
    this.poured.set(typed === null || typed === amount ? others : { ...others, [key]: typed });
  }

  protected pour(key: 'a' | 'b', ml: number): void {
    this.poured.set({ ...this.poured(), [key]: ml });
  }
}
