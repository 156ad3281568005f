import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';

/** A thing that is so or not; what it is stands inside. */
@Component({
  selector: 'au-tick',
  imports: [MatCheckbox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: inline-block;
      align-self: end;
      /* the box stands where the text above it begins, not the room round it */
      margin-left: -7px;
    }
  `,
  template: `
    <mat-checkbox [checked]="checked()" [disabled]="disabled()" (change)="checkedChange.emit($event.checked)">
      <ng-content />
    </mat-checkbox>
  `,
})
export class Tick {
  readonly checked = input.required<boolean>();
  readonly disabled = input(false);
  readonly checkedChange = output<boolean>();
}
