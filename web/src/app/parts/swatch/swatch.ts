import {
  ChangeDetectionStrategy,
  Component,
  effect,
  type ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { bareFieldPlanOf, fieldPlanOf, flatLight, litField, type FlakeField, type Plan } from '@aurantia/core';
import type { Subscription } from 'rxjs';
import { Flakes } from '../../services/flakes';
import { Notices } from '../../services/notices';

/** mm of cup that the swatch shows across. */
export const SWATCH_SIDE = 24;
const GRAIN = 18;
const DOTS = SWATCH_SIDE * GRAIN;
/** how far it tilts at its edges, and by a press of a key, as the light's half-way direction */
const STEEPEST = 0.6;
const STEP = 0.06;

const STRAIGHT = { x: 0, y: 0 };

/** A square of an area seen close: every flake at its own size, flashing as it is tilted in the light. */
@Component({
  selector: 'au-swatch',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<canvas
    #canvas
    role="img"
    tabindex="0"
    [attr.aria-label]="label() + '. Arrow keys tilt it in the light.'"
    (pointermove)="follow($event)"
    (pointerleave)="tilt.set(straight)"
    (keydown)="key($event)"
  ></canvas>`,
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
  /** as it comes out in the end, or as its last glitter lies before any ink goes over it */
  readonly finished = input(true);
  /** the picture that was dropped, with what was counted on it */
  readonly dropped = output<FlakeField>();
  protected readonly straight = STRAIGHT;
  protected readonly tilt = signal(STRAIGHT);
  private readonly field = signal<FlakeField | null>(null);
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private readonly image = new ImageData(DOTS, DOTS);

  constructor() {
    effect((onCleanup) => {
      const request = {
        what: 'swatch' as const,
        plan: this.finished() ? fieldPlanOf(this.plan()) : bareFieldPlanOf(this.plan()),
        area: this.area(),
        side: SWATCH_SIDE,
        pixelsPerMm: GRAIN,
      };
      const wish: Subscription = this.flakes.picture('swatch', request).subscribe({
        next: (field) => {
          this.field.set(field);
          if (field.done === 1) this.dropped.emit(field);
        },
        error: (error: unknown) => this.notices.failed(error),
      });
      onCleanup(() => wish.unsubscribe());
    });
    effect(() => {
      const field = this.field();
      const { x, y } = this.tilt();
      if (!field) return;
      const canvas = this.canvas().nativeElement;
      // Not by a binding: flakes that are here at once are drawn before it is set, and setting a size wipes a canvas.
      if (canvas.width !== DOTS) canvas.width = canvas.height = DOTS;
      litField(field, flatLight(x, y), this.image.data);
      canvas.getContext('2d')?.putImageData(this.image, 0, 0);
      canvas.dataset['painted'] = 'yes';
    });
  }

  protected follow({ clientX, clientY }: PointerEvent): void {
    const { left, top, width, height } = this.canvas().nativeElement.getBoundingClientRect();
    this.tilt.set({
      x: (((clientX - left) / width) * 2 - 1) * STEEPEST,
      y: (1 - ((clientY - top) / height) * 2) * STEEPEST,
    });
  }

  protected key(event: KeyboardEvent): void {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    if (!step) return;
    event.preventDefault();
    const within = (value: number) => Math.max(-STEEPEST, Math.min(STEEPEST, value));
    this.tilt.update(({ x, y }) => ({ x: within(x + step[0] * STEP), y: within(y + step[1] * STEP) }));
  }
}
