import { ChangeDetectionStrategy, Component, effect, input, output } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { MatError, MatFormField } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { saidState } from './said-state';

let made = 0;

/** Words of the maker's own, taken when the field is left. */
@Component({
  selector: 'au-text',
  imports: [MatError, MatFormField, MatInput, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="field">
      <label [for]="id" [class.unseen]="bare()">{{ label() }}</label>
      <mat-form-field appearance="outline" subscriptSizing="dynamic">
        @if (lines() > 1) {
          <textarea
            matInput
            dir="auto"
            [id]="id"
            [attr.aria-label]="spoken()"
            [rows]="lines()"
            [attr.maxlength]="most()"
            [placeholder]="hint()"
            [formControl]="control"
            [errorStateMatcher]="saidState"
            (change)="valueChange.emit(control.value)"
          ></textarea>
        } @else {
          <input
            matInput
            dir="auto"
            [id]="id"
            [attr.aria-label]="spoken()"
            autocomplete="off"
            [attr.maxlength]="most()"
            [placeholder]="hint()"
            [formControl]="control"
            [errorStateMatcher]="saidState"
            (change)="valueChange.emit(control.value)"
          />
        }
        @if (refused()) {
          <mat-error class="wrong-note" role="alert">{{ refused() }}</mat-error>
        }
      </mat-form-field>
    </div>
  `,
})
export class TextField {
  readonly label = input.required<string>();
  readonly value = input.required<string>();
  /** letters at most */
  readonly most = input(60);
  /** what might stand in it, while nothing does */
  readonly hint = input('');
  readonly lines = input(1);
  /** the label as it is read out, where that has to say whose it is */
  readonly spoken = input<string | null>(null);
  /** label only for those who can't see what it stands beside */
  readonly bare = input(false);
  /** what the owner says about the words it was last given, null when they were taken */
  readonly refused = input<string | null>(null);
  readonly valueChange = output<string>();
  protected readonly id = `text-${(made += 1)}`;
  // As a validator, so that it still stands when other words are typed that are refused for the same reason.
  protected readonly control = new FormControl('', {
    nonNullable: true,
    validators: () => (this.refused() === null ? null : { said: true }),
  });
  protected readonly saidState = saidState;

  constructor() {
    effect(() => {
      const [value, refused] = [this.value(), this.refused()];
      if (this.control.value !== value && refused === null) this.control.setValue(value);
      this.control.updateValueAndValidity();
    });
  }
}
