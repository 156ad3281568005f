import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** A colour, picked in the browser's own dialog: Material has none. */
@Component({
  selector: 'au-colour-dot',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <input
      type="color"
      [value]="value()"
      [attr.aria-label]="label()"
      (input)="moved.emit($any($event.target).value)"
      (change)="valueChange.emit($any($event.target).value)"
    />
  `,
  styles: `
    :host {
      display: inline-flex;
    }
    input {
      width: 100%;
      height: 100%;
      min-width: 24px;
      min-height: 18px;
      padding: 0;
      border: 0;
      background: none;
      cursor: pointer;
    }
  `,
})
export class ColourDot {
  readonly label = input.required<string>();
  readonly value = input.required<string>();
  /** while it is being picked */
  readonly moved = output<string>();
  /** once it is */
  readonly valueChange = output<string>();
}
