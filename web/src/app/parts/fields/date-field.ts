import { ChangeDetectionStrategy, Component, effect, input, output } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { provideDateFnsAdapter } from '@angular/material-date-fns-adapter';
import { MAT_DATE_LOCALE } from '@angular/material/core';
import { MatDatepicker, MatDatepickerInput, MatDatepickerToggle } from '@angular/material/datepicker';
import { MatError, MatFormField, MatSuffix } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { format, parseISO } from 'date-fns';
import { enGB } from 'date-fns/locale/en-GB';
import { saidState } from './said-state';

let made = 0;

/** A day, typed as 2026-11-27 or picked from a calendar; as ISO 8601, null for none. */
@Component({
  selector: 'au-date',
  imports: [
    MatDatepicker,
    MatDatepickerInput,
    MatDatepickerToggle,
    MatError,
    MatFormField,
    MatInput,
    MatSuffix,
    ReactiveFormsModule,
  ],
  providers: [
    { provide: MAT_DATE_LOCALE, useValue: enGB },
    provideDateFnsAdapter({
      parse: { dateInput: ['yyyy-MM-dd', 'd.M.yyyy', 'd/M/yyyy', 'd MMM yyyy'] },
      display: {
        dateInput: 'yyyy-MM-dd',
        monthYearLabel: 'LLLL yyyy',
        dateA11yLabel: 'd LLLL yyyy',
        monthYearA11yLabel: 'LLLL yyyy',
      },
    }),
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="field">
      <label [for]="id">{{ label() }}</label>
      <mat-form-field appearance="outline" subscriptSizing="dynamic">
        <input
          matInput
          [id]="id"
          autocomplete="off"
          placeholder="year-month-day"
          [matDatepicker]="calendar"
          [formControl]="control"
          [errorStateMatcher]="saidState"
          (dateChange)="taken()"
        />
        <mat-datepicker-toggle matSuffix [for]="calendar" />
        <mat-datepicker #calendar />
        @if (control.invalid) {
          <mat-error class="wrong-note" role="alert">That is no day. Type it as 2026-11-27, or pick it.</mat-error>
        }
      </mat-form-field>
    </div>
  `,
})
export class DateField {
  readonly label = input.required<string>();
  readonly value = input.required<string | null>();
  readonly valueChange = output<string | null>();
  protected readonly id = `date-${(made += 1)}`;
  protected readonly control = new FormControl<Date | null>(null);
  protected readonly saidState = saidState;

  constructor() {
    effect(() => this.control.setValue(dayOf(this.value())));
  }

  /** What isn't a day is left as it stands, so that nothing typed is lost. */
  protected taken(): void {
    const { value, invalid } = this.control;
    if (!invalid) this.valueChange.emit(value && format(value, 'yyyy-MM-dd'));
  }
}

const dayOf = (text: string | null): Date | null => (text === null ? null : parseISO(text));
