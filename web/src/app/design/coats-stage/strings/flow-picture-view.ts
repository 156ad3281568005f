import { ChangeDetectionStrategy, Component, effect, input, viewChild, type ElementRef } from '@angular/core';
import type { FlowPicture } from '@aurantia/core/string-flow';

/** The unrolled wall with wet colour on it: one pixel a cell, drawn as wide as there is room. */
@Component({
  selector: 'au-flow-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<canvas #canvas role="img" [attr.aria-label]="says()"></canvas>`,
  styles: `
    :host {
      display: block;
    }
    canvas {
      display: block;
      width: 100%;
      border-radius: 8px;
    }
  `,
})
export class FlowPictureView {
  readonly picture = input.required<FlowPicture>();
  readonly says = input.required<string>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');

  constructor() {
    effect(() => {
      const { width, height, pixels } = this.picture();
      const canvas = this.canvas().nativeElement;
      canvas.width = width;
      canvas.height = height;
      canvas.getContext('2d')?.putImageData(new ImageData(pixels, width, height), 0, 0);
    });
  }
}
