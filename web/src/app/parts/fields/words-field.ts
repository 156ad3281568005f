import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatAutocomplete, MatAutocompleteTrigger, type MatAutocompleteSelectedEvent } from '@angular/material/autocomplete';
import { MatChipGrid, MatChipInput, MatChipRemove, MatChipRow } from '@angular/material/chips';
import { MatFormField } from '@angular/material/form-field';
import { MatOption } from '@angular/material/select';
import { Icon } from '../icons/icon';

/** A handful of words, each put on with Enter or out of those used before, each taken off by its cross. */
@Component({
  selector: 'au-words',
  imports: [
    Icon,
    MatAutocomplete,
    MatAutocompleteTrigger,
    MatChipGrid,
    MatChipInput,
    MatChipRemove,
    MatChipRow,
    MatFormField,
    MatOption,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-form-field appearance="outline" subscriptSizing="dynamic">
      <mat-chip-grid #grid [attr.aria-label]="label()">
        @for (word of words(); track word) {
          <mat-chip-row (removed)="takeOff(word)">
            {{ word }}
            <button type="button" matChipRemove [attr.aria-label]="'Take ' + word + ' off'"><au-icon name="take out" /></button>
          </mat-chip-row>
        }
      </mat-chip-grid>
      <input
        #field
        [attr.aria-label]="label()"
        maxlength="60"
        [matChipInputFor]="grid"
        [matAutocomplete]="offers"
        (input)="typed.set(field.value)"
        (matChipInputTokenEnd)="put(field.value); field.value = ''"
      />
      <mat-autocomplete #offers (optionSelected)="chosen($event); field.value = ''">
        @for (word of offered(); track word) {
          <mat-option [value]="word">{{ word }}</mat-option>
        }
      </mat-autocomplete>
    </mat-form-field>
  `,
})
export class WordsField {
  readonly label = input.required<string>();
  readonly words = input.required<readonly string[]>();
  /** words used before, those most used first */
  readonly known = input<readonly string[]>([]);
  readonly wordsChange = output<readonly string[]>();
  protected readonly typed = signal('');
  protected readonly offered = computed(() => {
    const typed = this.typed().trim().toLowerCase();
    return this.known()
      .filter((word) => !this.words().includes(word) && word.toLowerCase().includes(typed))
      .slice(0, 8);
  });

  protected put(text: string): void {
    this.typed.set('');
    if (text.trim() !== '') this.wordsChange.emit([...this.words(), text.trim()]);
  }

  protected chosen({ option }: MatAutocompleteSelectedEvent): void {
    this.put(String(option.value));
  }

  protected takeOff(word: string): void {
    this.wordsChange.emit(this.words().filter((one) => one !== word));
  }
}
