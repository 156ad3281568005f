import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Cup } from '@aurantia/core';
import { bodyOutline, handleLoop, mouthColours, mouthOf, seenHandle, type Stance } from '@aurantia/core/figure';

/** A cup as it is bought, for as long as its first picture isn’t there: what lies on it never hangs in the air. */
@Component({
  selector: 'au-bare-cup',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg aria-hidden="true">
    @if (handle(); as handle) {
      <polyline class="handle" [attr.points]="handle.points" [attr.stroke]="colour()" [attr.stroke-width]="handle.width" />
    }
    <polygon [attr.points]="body()" [attr.fill]="colour()" />
    @let rim = mouth();
    <ellipse
      [attr.cx]="rim.x"
      [attr.cy]="rim.y"
      [attr.rx]="rim.across"
      [attr.ry]="rim.down"
      [attr.fill]="colours.middle"
      [attr.stroke]="colours.rim"
      [attr.stroke-width]="rim.line"
    />
  </svg>`,
  styles: `
    :host {
      position: absolute;
      inset: 0;
      pointer-events: none;
    }
    svg {
      width: 100%;
      height: 100%;
    }
    .handle {
      fill: none;
      stroke-linejoin: round;
    }
  `,
})
export class BareCup {
  readonly cup = input.required<Cup>();
  readonly stance = input.required<Stance>();
  /** radians to the right */
  readonly turn = input.required<number>();
  /** hex of its wall, and of its handle */
  readonly colour = input.required<string>();

  protected readonly colours = mouthColours;
  protected readonly body = computed(() => written(bodyOutline(this.cup().stations, this.stance())));
  protected readonly mouth = computed(() => mouthOf(this.cup().stations, this.stance()));
  /** In one colour with the wall, so that it doesn’t matter which of them is before the other. */
  protected readonly handle = computed(() => {
    const loop = handleLoop(this.cup());
    if (!loop) return null;
    const { points, radius } = seenHandle(loop, this.stance(), this.turn());
    return { points: written(points), width: 2 * radius };
  });
}

const written = (points: readonly { readonly x: number; readonly y: number }[]): string =>
  points.map(({ x, y }) => `${x},${y}`).join(' ');
