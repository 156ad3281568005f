import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import {
  amountText,
  differenceWords,
  mlForBare,
  mlOfScarcest,
  percentText,
  scaledBlend,
  type Design,
  type PlannedBlend,
} from '@aurantia/core';
import { NumberField } from '../../../parts/fields/number-field';
import { Pick } from '../../../parts/fields/pick';
import { WorkshopMemory } from '../../../services/workshop';
import { BUTTONS } from '../../../parts/buttons';

/** Brings a blend to another amount on the maker's spoon, and says what rounding does to its colour. */
@Component({
  selector: 'au-scale-blend',
  imports: [BUTTONS, NumberField, Pick],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <au-pick label="Bring it to" [options]="ways" [value]="way()" (valueChange)="way.set($any($event))" />
      @if (way() === 'bare') {
        <au-number
          label="Left bare"
          measure="percent"
          [value]="bare()"
          [refused]="bareWrong()"
          (valueChange)="bare.set($event ?? 0)"
        />
      } @else if (way() === 'total') {
        <au-number label="Each pour" measure="ml" [value]="total()" (valueChange)="total.set($event ?? 0)" />
      }
      <button type="button" matButton="outlined" [disabled]="scaled() === null" (click)="bring()">Bring</button>
    </div>
    <p class="soft" role="status">{{ says() }}</p>
  `,
  styles: `
    :host {
      display: grid;
      gap: 6px;
      padding-top: 10px;
      border-top: 1px solid var(--line);
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 12px;
      align-items: end;
    }
    au-number {
      width: 110px;
    }
  `,
})
export class ScaleBlend {
  private readonly memory = inject(WorkshopMemory);
  readonly blend = input.required<PlannedBlend>();
  readonly brought = output<Design['blends'][number]['parts']>();

  protected readonly ways = [
    { value: 'bare', name: 'a bare share' },
    { value: 'total', name: 'an amount' },
    { value: 'scarcest', name: 'what is left' },
  ];
  protected readonly way = signal<'bare' | 'total' | 'scarcest'>('bare');
  protected readonly bare = signal(0.05);
  protected readonly total = linkedSignal(() => this.blend().ml);
  protected readonly bareWrong = computed(() => (this.bare() > 0 && this.bare() < 1 ? null : 'Between 0 and 100 %.'));
  private readonly scarcest = computed(() => mlOfScarcest(this.blend(), this.memory.shelf()));
  private readonly wanted = computed<number | null>(() => {
    switch (this.way()) {
      case 'bare':
        return this.bareWrong() ? null : mlForBare(this.blend(), this.bare());
      case 'total':
        return this.total() > 0 ? this.total() : null;
      case 'scarcest':
        return this.scarcest()?.ml ?? null;
    }
  });
  protected readonly scaled = computed(() => {
    const ml = this.wanted();
    return ml === null || ml <= 0 ? null : scaledBlend(this.blend(), this.memory.shelf(), ml, this.memory.settings().spoonStep);
  });
  protected readonly says = computed(() => {
    const { blend, scaled } = { blend: this.blend(), scaled: this.scaled() };
    if (!scaled) return this.whyNot();
    const text = (ml: number) => amountText(ml, this.memory.units(), blend.ml > 0 ? blend.grams / blend.ml : 1);
    const of = this.way() === 'scarcest' ? ` Of ${this.scarcest()?.name ?? ''} there is least.` : '';
    return `${text(blend.ml)} becomes ${text(scaled.ml)} each pour; rounding to the spoon moves the colour by ${scaled.rounding.toFixed(1)} (${differenceWords(scaled.rounding).word}).${of}`;
  });

  protected bring(): void {
    const scaled = this.scaled();
    if (scaled) this.brought.emit([...scaled.parts]);
  }

  private whyNot(): string {
    if (this.way() === 'scarcest') return 'Nobody keeps count of these jars: note on the shelf what is left.';
    if (this.way() === 'total') return 'Type an amount.';
    const { forCover } = this.blend();
    return `So few passes of this glue cover ${percentText(forCover.most)} at most; add a glue and a glitter coat for more.`;
  }
}
