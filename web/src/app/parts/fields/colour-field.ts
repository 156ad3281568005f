import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { ColourDot } from './colour-dot';
import { TextField } from './text-field';

/** A colour, picked or typed as # and six digits. */
@Component({
  selector: 'au-colour',
  imports: [ColourDot, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="field">
      <span aria-hidden="true">Colour</span>
      <au-colour-dot label="Colour" [value]="value()" (valueChange)="valueChange.emit($event)" />
    </div>
    <au-text label="as #" [most]="7" [value]="value()" [refused]="refused()" (valueChange)="valueChange.emit($event)" />
  `,
  styles: `
    :host {
      display: contents;
    }
    au-colour-dot {
      width: 100%;
      height: 36px;
      padding: 3px;
      border: 1px solid var(--field-edge);
      border-radius: 7px;
      background: var(--sheet);
    }
    au-text {
      max-width: 130px;
    }
  `,
})
export class ColourField {
  readonly value = input.required<string>();
  readonly refused = input<string | null>(null);
  readonly valueChange = output<string>();
}
