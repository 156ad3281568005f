import { ChangeDetectionStrategy, Component, computed, effect, inject, input, linkedSignal, output, signal } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { MatError, MatFormField, MatSuffix } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import {
  amountFigure,
  amountUnit,
  fahrenheitOf,
  lengthFigure,
  readMeasure,
  tidy,
  type Measure,
  type Units,
} from '@aurantia/core';
import { WorkshopMemory } from '../../services/workshop';
import type { Term } from '@aurantia/core/glossary';
import { Word } from '../word/word';
import { saidState } from './said-state';

let made = 0;

/** A typed figure in the maker's units. What can't be read or taken gets a sentence; the last good value stays. */
@Component({
  selector: 'au-number',
  imports: [MatError, MatFormField, MatInput, MatSuffix, ReactiveFormsModule, Word],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="field">
      <label [for]="id" [class.unseen]="bare()">
        @if (word(); as term) {
          <au-word [of]="term">{{ label() }}</au-word>
        } @else {
          {{ label() }}
        }
      </label>
      <mat-form-field appearance="outline" subscriptSizing="dynamic">
        <input
          matInput
          [id]="id"
          [formControl]="control"
          [errorStateMatcher]="saidState"
          inputmode="decimal"
          autocomplete="off"
          (change)="typed(control.value)"
          (keydown.enter)="typed(control.value)"
          (keydown.escape)="again()"
        />
        @if (unit()) {
          <span matTextSuffix aria-hidden="true">{{ unit() }}</span>
        }
        @if (saidHere()) {
          <mat-error class="wrong-note" role="alert">{{ wrong() }}</mat-error>
        }
      </mat-form-field>
    </div>
  `,
  styles: `
    :host {
      --mat-form-field-container-text-weight: 600;
    }
  `,
})
export class NumberField {
  private readonly memory = inject(WorkshopMemory);
  readonly label = input.required<string>();
  readonly value = input.required<number | null>();
  readonly measure = input<Measure>('plain');
  /** what a ml weighs; null where it can't be told, and a workshop that weighs reads ml */
  readonly gramsPerMl = input<number | null>(null);
  readonly unitName = input('');
  readonly digits = input(2);
  /** label only for those who can't see the column it stands in */
  readonly bare = input(false);
  /** what the label says, where that is a word of the trade */
  readonly word = input<Term | null>(null);
  readonly optional = input(false);
  /** what the owner says about the value it was last given, null when it was taken */
  readonly refused = input<string | null>(null);
  /** the owner shows what it refused where there is more room */
  readonly refusedElsewhere = input(false);
  readonly valueChange = output<number | null>();

  protected readonly id = `number-${(made += 1)}`;
  protected readonly unread = linkedSignal<number | null, string | null>({ source: this.value, computation: () => null });
  private readonly kept = signal<string | null>(null);
  protected readonly wrong = computed(() => this.unread() ?? this.refused());
  protected readonly saidHere = computed(() => this.unread() !== null || (this.refused() !== null && !this.refusedElsewhere()));
  private readonly units = computed<Units>(() => {
    const units = this.memory.units();
    return units.amount === 'gram' && this.gramsPerMl() === null ? { ...units, amount: 'ml' } : units;
  });
  protected readonly unit = computed(() => this.unitName() || unitOf(this.measure(), this.units()));
  protected readonly text = computed(() => {
    const value = this.value();
    if (this.wrong() && this.kept() !== null) return this.kept() ?? '';
    return value === null ? '' : figureOf(value, this.measure(), this.units(), this.gramsPerMl() ?? 1, this.digits());
  });

  protected readonly control = new FormControl('', { nonNullable: true });
  protected readonly saidState = saidState;

  constructor() {
    effect(() => {
      const [text, wrong] = [this.text(), this.wrong()];
      if (this.control.value !== text) this.control.setValue(text);
      this.control.setErrors(wrong === null ? null : { said: wrong });
    });
  }

  protected typed(text: string): void {
    if (text.trim() === this.text() && !this.wrong()) return;
    this.kept.set(text);
    if (text.trim() === '' && this.optional()) {
      this.unread.set(null);
      this.valueChange.emit(null);
      return;
    }
    const more = { gramsPerMl: this.gramsPerMl(), unitName: this.unitName() };
    const read = readMeasure(text, this.measure(), this.memory.units(), more);
    this.unread.set(read.ok ? null : read.sentence);
    if (read.ok) this.valueChange.emit(tidy(read.value));
  }

  protected again(): void {
    this.kept.set(null);
    this.unread.set(null);
    this.control.setValue(this.text());
  }
}

function unitOf(measure: Measure, units: Units): string {
  switch (measure) {
    case 'length':
      return units.length === 'mm' ? 'mm' : 'in';
    case 'ml':
      return amountUnit(units);
    case 'temperature':
      return units.temperature === 'celsius' ? '°C' : '°F';
    case 'percent':
      return '%';
    case 'plain':
      return '';
  }
}

function figureOf(value: number, measure: Measure, units: Units, gramsPerMl: number, digits: number): string {
  switch (measure) {
    case 'length':
      return lengthFigure(value, units);
    case 'ml':
      return amountFigure(value, units, gramsPerMl);
    case 'temperature':
      return String(Number((units.temperature === 'celsius' ? value : fahrenheitOf(value)).toFixed(1)));
    case 'percent':
      return String(Number((value * 100).toFixed(digits)));
    case 'plain':
      return String(Number(value.toFixed(digits)));
  }
}
