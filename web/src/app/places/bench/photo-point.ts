import { Directive, input, output } from '@angular/core';
import type { PicturePoint } from '@aurantia/core/cup-photo';

/** A point of a photo that is dragged, or moved by arrow keys: a pixel a press, twenty with Shift. */
@Directive({
  selector: '[auPhotoPoint]',
  host: {
    role: 'slider',
    tabindex: '0',
    '[style.left.%]': '(100 * auPhotoPoint()[0]) / size()[0]',
    '[style.top.%]': '(100 * auPhotoPoint()[1]) / size()[1]',
    '[attr.aria-label]': 'name()',
    'aria-valuemin': '0',
    '[attr.aria-valuemax]': 'size()[0]',
    '[attr.aria-valuenow]': 'rounded(auPhotoPoint()[0])',
    '[attr.aria-valuetext]': 'rounded(auPhotoPoint()[0]) + " across, " + rounded(auPhotoPoint()[1]) + " down"',
    '(pointerdown)': 'grab($event)',
    '(pointermove)': 'pull($event)',
    '(pointerup)': 'held = false',
    '(pointercancel)': 'held = false',
    '(keydown)': 'key($event)',
  },
})
export class PhotoPoint {
  /** pixels of the photo, as is `size` */
  readonly auPhotoPoint = input.required<PicturePoint>();
  readonly size = input.required<PicturePoint>();
  readonly name = input.required<string>();
  readonly moved = output<PicturePoint>();
  protected held = false;
  protected readonly rounded = Math.round;

  protected grab(event: PointerEvent): void {
    (event.target as HTMLElement).setPointerCapture(event.pointerId);
    this.held = true;
  }

  protected pull(event: PointerEvent): void {
    const frame = (event.target as HTMLElement).parentElement?.getBoundingClientRect();
    if (!this.held || !frame) return;
    const [width, height] = this.size();
    this.moved.emit([
      ((event.clientX - frame.left) / frame.width) * width,
      ((event.clientY - frame.top) / frame.height) * height,
    ]);
  }

  protected key(event: KeyboardEvent): void {
    const step = event.shiftKey ? 20 : 1;
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!by) return;
    event.preventDefault();
    const [x, y] = this.auPhotoPoint();
    this.moved.emit([x + by[0] * step, y + by[1] * step]);
  }
}
