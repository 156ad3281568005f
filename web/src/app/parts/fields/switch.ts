import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatSlideToggle } from '@angular/material/slide-toggle';

/** A way of showing that is on or off, at once; what is kept of a design stands in a tick. */
@Component({
  selector: 'au-switch',
  imports: [MatSlideToggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-slide-toggle hideIcon [checked]="checked()" (change)="checkedChange.emit($event.checked)"
      ><ng-content
    /></mat-slide-toggle>
  `,
})
export class Switch {
  readonly checked = input.required<boolean>();
  readonly checkedChange = output<boolean>();
}
