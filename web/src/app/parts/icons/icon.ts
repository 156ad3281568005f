import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import { Icons, type IconName } from './icons';

/** A small picture on a button. What the button does is said by its words or its label, never by this alone. */
@Component({
  selector: 'au-icon',
  imports: [MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<mat-icon [svgIcon]="name()" aria-hidden="true" />`,
  styles: `
    :host {
      display: inline-flex;
      vertical-align: middle;
    }
    mat-icon {
      width: 18px;
      height: 18px;
    }
  `,
})
export class Icon {
  protected readonly registered = inject(Icons);
  readonly name = input.required<IconName>();
}
