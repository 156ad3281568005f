import { ChangeDetectionStrategy, Component, effect, type ElementRef, inject, input, output, viewChild } from '@angular/core';
import { fieldPlanOf, type FlakeField, type Plan } from '@aurantia/core';
import type { Subscription } from 'rxjs';
import { Flakes } from '../../services/flakes';
import { Notices } from '../../services/notices';

/** mm of cup that the swatch shows across. */
export const SWATCH_SIDE = 24;
const GRAIN = 18;

/** A square of an area seen close: every flake at its own size. */
@Component({
  selector: 'au-swatch',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<canvas #canvas [attr.width]="dots" [attr.height]="dots" role="img" [attr.aria-label]="label()"></canvas>`,
  styles: `
    canvas {
      display: block;
      width: 100%;
      aspect-ratio: 1;
      border-radius: 9px;
    }
  `,
})
export class Swatch {
  private readonly flakes = inject(Flakes);
  private readonly notices = inject(Notices);
  readonly plan = input.required<Plan>();
  readonly area = input.required<string>();
  readonly label = input.required<string>();
  protected readonly dots = SWATCH_SIDE * GRAIN;
  /** the picture that was dropped, with what was counted on it */
  readonly dropped = output<FlakeField>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');

  constructor() {
    effect((onCleanup) => {
      const request = {
        what: 'swatch' as const,
        plan: fieldPlanOf(this.plan()),
        area: this.area(),
        side: SWATCH_SIDE,
        pixelsPerMm: GRAIN,
      };
      const wish: Subscription = this.flakes.picture('swatch', request).subscribe({
        next: (field) => {
          this.canvas()
            .nativeElement.getContext('2d')
            ?.putImageData(new ImageData(field.pixels, field.width, field.height), 0, 0);
          this.canvas().nativeElement.dataset['painted'] = 'yes';
          this.dropped.emit(field);
        },
        error: (error: unknown) => this.notices.failed(error),
      });
      onCleanup(() => wish.unsubscribe());
    });
  }
}
