import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatFormField, MatPrefix } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { Icon } from '../icons/icon';

/** What a list is looked through for, as it is typed. */
@Component({
  selector: 'au-search',
  imports: [Icon, MatFormField, MatInput, MatPrefix],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-form-field appearance="outline" subscriptSizing="dynamic">
      <au-icon matPrefix name="find" />
      <input
        matInput
        type="search"
        maxlength="200"
        [attr.aria-label]="label()"
        [placeholder]="hint()"
        [value]="value()"
        (input)="valueChange.emit($any($event.target).value)"
      />
    </mat-form-field>
  `,
  styles: `
    mat-form-field {
      width: 100%;
    }
    au-icon {
      padding: 0 2px 0 10px;
      color: var(--soft);
    }
  `,
})
export class SearchField {
  readonly label = input.required<string>();
  readonly hint = input('');
  readonly value = input.required<string>();
  readonly valueChange = output<string>();
}
