import { Directive, inject } from '@angular/core';
import { MatTooltip } from '@angular/material/tooltip';

/** How long a pointer has to rest before a word comes up, ms: none on the way to somewhere else. */
const REST = 500;

/** A word on what something is, shown where the pointer or the focus rests, and read out as its description. */
@Directive({
  selector: '[auTip]',
  hostDirectives: [{ directive: MatTooltip, inputs: ['matTooltip: auTip', 'matTooltipPositionAtOrigin: auTipAtPointer'] }],
})
export class Tip {
  private readonly shown = inject(MatTooltip);

  constructor() {
    this.shown.showDelay = REST;
  }
}
