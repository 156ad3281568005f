import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** A colour, picked or typed as # and six digits. */
@Component({
  selector: 'au-colour',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="field">
      <span>Colour</span>
      <input type="color" [value]="value()" (change)="valueChange.emit($any($event.target).value)" />
    </label>
    <label class="field" [class.wrong]="refused()">
      <span>as #</span>
      <input [value]="value()" (change)="valueChange.emit($any($event.target).value)" />
      @if (refused()) {
        <span class="wrong-note" role="alert">{{ refused() }}</span>
      }
    </label>
  `,
  styles: `
    :host {
      display: contents;
    }
    input:not([type='color']) {
      width: 100%;
      max-width: 104px;
    }
    input[type='color'] {
      padding: 3px;
      cursor: pointer;
    }
  `,
})
export class ColourField {
  readonly value = input.required<string>();
  readonly refused = input<string | null>(null);
  readonly valueChange = output<string>();
}
