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
import { Painter } from '../../services/painter';
import { FlatCup } from './flat-cup';

/** Painted twice as fine as shown, so that single flakes blend as they do to the eye. */
const DOTS = 2;

/** A design's own cup standing still, at a given scale, flakes and all. */
@Component({
  selector: 'au-cup-figure',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<canvas #canvas [style.width.px]="box().width" [style.height.px]="box().height" aria-hidden="true"></canvas>`,
  styles: `
    :host,
    canvas {
      display: block;
    }
  `,
})
export class CupFigure {
  private readonly flakes = inject(Flakes);
  private readonly painter = inject(Painter);
  private readonly notices = inject(Notices);
  readonly plan = input.required<Plan>();
  readonly cup = input.required<Cup>();
  /** css pixels a mm */
  readonly scale = input(1);

  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
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
          pixelsPerMm: Math.max(1, this.scale() * DOTS),
        })
        .subscribe({ next: (field) => this.field.set(field), error: (error: unknown) => this.notices.failed(error) });
    });
    let flat: FlatCup | null = null;
    effect(() => {
      const field = this.field();
      const cup = this.cup();
      if (!field) return;
      flat ??= new FlatCup(this.canvas().nativeElement, this.painter);
      const stance = figureStance(cup, this.scale(), 1);
      const shown = { ...this.box(), dots: DOTS, stance, turn: 0, handle: handleColour(this.plan()) };
      flat.draw({ field, cup }, shown, { hung: () => undefined, failed: (error) => this.notices.failed(error) });
    });
    inject(DestroyRef).onDestroy(() => {
      wish?.unsubscribe();
      flat?.dispose();
    });
  }
}
