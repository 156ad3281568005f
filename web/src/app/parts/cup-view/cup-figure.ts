import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import { fieldPlanOf, type Cup, type FlakeField, type Plan } from '@aurantia/core';
import type { Subscription } from 'rxjs';
import { figureBox, figureStance, handleColour } from '@aurantia/core/figure';
import { Flakes } from '../../services/flakes';
import { Notices } from '../../services/notices';
import { paintCup } from './paint-cup';

/** A design's own cup standing still, at a given scale, flakes and all. */
@Component({
  selector: 'au-cup-figure',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<canvas
    #canvas
    [attr.width]="box().width * dots"
    [attr.height]="box().height * dots"
    [style.width.px]="box().width"
    [style.height.px]="box().height"
    aria-hidden="true"
  ></canvas>`,
  styles: `
    :host,
    canvas {
      display: block;
    }
  `,
})
export class CupFigure {
  private readonly flakes = inject(Flakes);
  private readonly notices = inject(Notices);
  readonly plan = input.required<Plan>();
  readonly cup = input.required<Cup>();
  /** css pixels a mm */
  readonly scale = input(1);

  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  /** painted twice as fine as shown, so that single flakes blend as they do to the eye */
  protected readonly dots = 2;
  private readonly field = signal<FlakeField | null>(null);
  protected readonly box = computed(() => figureBox(this.cup(), this.scale()));

  constructor() {
    let wish: Subscription | null = null;
    effect(() => {
      const plan = this.plan();
      wish?.unsubscribe();
      wish = this.flakes
        .picture(`figure/${plan.design}`, {
          what: 'cup',
          plan: fieldPlanOf(plan),
          cup: this.cup(),
          pixelsPerMm: Math.max(1, this.scale() * this.dots),
        })
        .subscribe({ next: (field) => this.field.set(field), error: (error: unknown) => this.notices.failed(error) });
    });
    effect(() => this.paint());
    inject(DestroyRef).onDestroy(() => wish?.unsubscribe());
  }

  private paint(): void {
    const field = this.field();
    const cup = this.cup();
    const context = this.canvas().nativeElement.getContext('2d');
    if (!field || !context) return;
    context.clearRect(0, 0, context.canvas.width, context.canvas.height);
    paintCup(context, field, cup, {
      stance: figureStance(cup, this.scale(), this.dots),
      turn: 0,
      handle: handleColour(this.plan()),
    });
    this.canvas().nativeElement.dataset['painted'] = 'yes';
  }
}
