import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatSliderModule } from '@angular/material/slider';

/** A place on a short scale, found by dragging or by arrow keys; what it stands for is said beside it. */
@Component({
  selector: 'au-slider',
  imports: [MatSliderModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-slider [min]="0" [max]="most()" [step]="1" showTickMarks>
      <input
        matSliderThumb
        [value]="value()"
        [attr.aria-label]="label()"
        [attr.aria-valuetext]="says()"
        (valueChange)="valueChange.emit($event)"
      />
    </mat-slider>
  `,
  styles: `
    /* Once it gets narrower, where its thumb stood would still count as width. */
    :host {
      display: block;
      overflow: clip;
      overflow-clip-margin: 16px;
    }
    mat-slider {
      width: calc(100% - 16px);
      margin: 0 8px;
    }
  `,
})
export class Slider {
  readonly label = input.required<string>();
  readonly value = input.required<number>();
  readonly most = input.required<number>();
  /** what its place means, for whoever can’t see it */
  readonly says = input.required<string>();
  readonly valueChange = output<number>();
}
