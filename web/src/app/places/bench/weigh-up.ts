import { ChangeDetectionStrategy, Component, computed, inject, input, model, output } from '@angular/core';
import type { LogEntryOf, MakeStep } from '@aurantia/core/make';
import * as z from 'zod';
import { BUTTONS } from '../../parts/buttons';
import { NumberField } from '../../parts/fields/number-field';
import { Beside } from '../../services/beside';

const figure = z.number().nullable();

/** What is weighed of a coat beyond its amounts, g; null where it wasn't. */
export const weighedUpSchema = z
  .strictObject({ before: figure, after: figure, pot: figure, count: figure, drops: figure })
  .readonly();
export type WeighedUp = z.infer<typeof weighedUpSchema>;
export const NOTHING_WEIGHED: WeighedUp = { before: null, after: null, pot: null, count: null, drops: null };

const dripped = ({ amounts }: MakeStep) => amounts.find(({ unit }) => unit === 'drop');

/** Whether a coat can teach anything by being weighed. */
export const teaches = (step: MakeStep): boolean => step.flakes !== null || step.mix !== null || dripped(step) !== undefined;

/** What was weighed of a coat as its log keeps it; null where nothing was, or not enough of it. */
export function weighedEntry(step: MakeStep, weighed: WeighedUp): Omit<LogEntryOf<'weighed'>, 'id' | 'at'> | null {
  const { before, after, pot, count, drops } = weighed;
  const cup = before !== null && after !== null ? { cup: { before, after } } : {};
  const key = dripped(step)?.key;
  const entry = {
    ...cup,
    ...(pot === null ? {} : { pot }),
    ...(key !== undefined && count !== null && count >= 1 && drops !== null
      ? { drops: { key, count: Math.round(count), grams: drops } }
      : {}),
  };
  return Object.keys(entry).length === 0 ? null : { what: 'weighed', coat: step.coat, ...entry };
}

type Field = keyof WeighedUp;

/** The cup before and after, what stays in the pot, what some drops weigh: each teaches what the next plan goes by. */
@Component({
  selector: 'au-weigh-up',
  imports: [BUTTONS, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>Weigh it, so that the next plan knows</h3>
    <p>{{ why() }}</p>
    <div class="fields">
      @for (field of fields(); track field.field) {
        <div class="one">
          <au-number
            [label]="field.label"
            [unitName]="field.field === 'count' ? 'drops' : 'g'"
            [optional]="true"
            [digits]="1"
            [value]="weighed()[field.field]"
            [refused]="refused(field.field)"
            (valueChange)="set(field.field, $event)"
          />
          @if (field.field !== 'count' && beside.weighs()) {
            <button
              type="button"
              matButton="outlined"
              [attr.aria-label]="field.label + ', from the scale'"
              (click)="fromScale(field.field)"
            >
              From the scale
            </button>
          }
        </div>
      }
    </div>
    @if (later()) {
      <div class="choices">
        <button type="button" matButton="filled" [disabled]="!enough()" (click)="written.emit()">Write it down</button>
      </div>
    } @else {
      <p>It is written down with “It is on”.</p>
    }
  `,
  styleUrl: './aside.scss',
})
export class WeighUp {
  protected readonly beside = inject(Beside);
  readonly step = input.required<MakeStep>();
  /** the coat is done already: what is weighed now is written down by itself */
  readonly later = input(false);
  readonly weighed = model<WeighedUp>(NOTHING_WEIGHED);
  readonly written = output();

  protected readonly fields = computed(() => {
    const { flakes, mix } = this.step();
    const drops = dripped(this.step());
    const fields: { field: Field; label: string }[] = [];
    if (flakes || mix) fields.push({ field: 'before', label: 'Cup before' }, { field: 'after', label: 'Cup after' });
    if (mix) fields.push({ field: 'pot', label: 'Left in the pot' });
    if (drops) fields.push({ field: 'count', label: `Drops of ${drops.name}` }, { field: 'drops', label: 'What they weigh' });
    return fields;
  });
  protected readonly why = computed(() => {
    const { flakes, mix } = this.step();
    if (flakes)
      return 'Weigh the cup with the glue on it, then once no flake falls off any more: what stays is what this glue holds.';
    if (mix)
      return 'Weigh the cup before and after, and the pot with what stays in it, less the empty pot: that is what you lose.';
    return 'Count drops onto the scale: that is how large this bottle’s are.';
  });
  protected readonly enough = computed(() => weighedEntry(this.step(), this.weighed()) !== null && !this.lighter());
  /** resin and flakes only add */
  private readonly lighter = computed(() => {
    const { before, after } = this.weighed();
    return before !== null && after !== null && after < before;
  });

  protected refused(field: Field): string | null {
    if (field === 'after' && this.lighter())
      return 'It can’t weigh less than before. Weigh both with the same things on the scale.';
    const value = this.weighed()[field];
    return value !== null && value < 0 ? 'A scale below nothing isn’t at nought: tare it, then weigh again.' : null;
  }

  protected set(field: Field, value: number | null): void {
    this.weighed.set({ ...this.weighed(), [field]: value });
  }

  protected fromScale(field: Field): void {
    const says = this.beside.scale()?.says;
    if (says?.says === 'weight') this.set(field, says.grams);
  }
}
