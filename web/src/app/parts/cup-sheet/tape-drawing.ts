import { ChangeDetectionStrategy, Component, computed, input, linkedSignal } from '@angular/core';
import { cupKinds, silhouette, stationSchema, type CupShape, type Station } from '@aurantia/core';

const HEIGHT = 250;
const MARGIN = 26;

/** The cup from the side with the tape where each reading is taken; the one in hand in colour. */
@Component({
  selector: 'au-tape-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 190 250" role="img" [attr.aria-label]="spoken()">
      <path class="wall" [attr.d]="wall()" />
      @if (handle()) {
        <path class="handle" [attr.d]="handle()" />
      }
      @for (tape of tapes(); track tape.index) {
        <ellipse
          class="tape"
          [class.on]="tape.on"
          cx="82"
          [attr.cy]="tape.y"
          [attr.rx]="tape.r"
          [attr.ry]="tape.r * 0.11 + 0.6"
        />
        <line
          class="lead"
          [class.on]="tape.on"
          [attr.x1]="82 + tape.r"
          [attr.x2]="164"
          [attr.y1]="tape.y"
          [attr.y2]="tape.label"
        />
        <circle class="mark" [class.on]="tape.on" cx="172" [attr.cy]="tape.label" r="9" />
        <text [class.on]="tape.on" x="172" [attr.y]="tape.label + 4">{{ tape.index + 1 }}</text>
      }
    </svg>
  `,
  styles: `
    :host,
    svg {
      display: block;
      width: 100%;
    }
    .wall {
      fill: #dfe2e4;
      stroke: var(--ink);
      stroke-width: 1.4;
      stroke-linejoin: round;
    }
    .handle {
      fill: none;
      stroke: var(--ink);
      stroke-width: 5;
      stroke-linejoin: round;
    }
    .tape {
      fill: none;
      stroke: var(--soft);
      stroke-width: 2;
    }
    .tape.on {
      stroke: var(--peel);
      stroke-width: 4;
    }
    .lead {
      stroke: var(--line);
    }
    .lead.on {
      stroke: var(--peel);
    }
    .mark {
      fill: var(--sheet);
      stroke: var(--soft);
    }
    .mark.on {
      fill: var(--peel);
      stroke: var(--peel);
    }
    text {
      font: 700 0.75rem var(--text);
      text-anchor: middle;
      fill: var(--ink);
    }
    text.on {
      fill: var(--sheet);
    }
  `,
})
export class TapeDrawing {
  readonly stations = input.required<readonly Station[]>();
  readonly shape = input.required<CupShape>();
  /** the reading in hand */
  readonly active = input<number | null>(null);

  /** while one reads what no cup can be, the cup as it was before */
  private readonly sound = linkedSignal<readonly Station[], readonly Station[]>({
    source: this.stations,
    computation: (now, before) => (now.every((one) => stationSchema.safeParse(one).success) ? now : (before?.value ?? now)),
  });
  private readonly drawn = computed(() => silhouette(this.sound()));
  private readonly scale = computed(() => {
    const { width, height } = this.drawn();
    return Math.min((2 * (82 - 10)) / width, (HEIGHT - 2 * MARGIN) / Math.max(1, height));
  });
  private readonly y = computed(() => {
    const [scale, { height }] = [this.scale(), this.drawn()];
    return (mm: number) => (HEIGHT + height * scale) / 2 - mm * scale;
  });
  protected readonly wall = computed(() => {
    const [scale, y] = [this.scale(), this.y()];
    const right = this.drawn().profile.map(([x, up]) => `${(82 + x * scale).toFixed(1)} ${y(up).toFixed(1)}`);
    const left = [...this.drawn().profile].reverse().map(([x, up]) => `${(82 - x * scale).toFixed(1)} ${y(up).toFixed(1)}`);
    return `M${[...right, ...left].join('L')}Z`;
  });
  protected readonly handle = computed(() => {
    if (this.shape() !== 'mug') return '';
    const { height, profile } = this.drawn();
    const x = 82 + profile[0][0] * this.scale();
    return `M${x} ${this.y()(height * 0.8)}q30 4 26 ${height * this.scale() * 0.3}q-2 ${height * this.scale() * 0.26} -26 ${height * this.scale() * 0.26}`;
  });
  protected readonly tapes = computed(() => {
    // Numbers of readings close together move apart, upwards from the lowest.
    let above = Infinity;
    return this.drawn().profile.map(([x, up], index) => {
      const y = this.y()(up);
      const label = Math.min(y, above - 20);
      above = label;
      return { index, r: x * this.scale(), y, label, on: index === this.active() };
    });
  });
  protected readonly spoken = computed(
    () =>
      `${cupKinds[this.shape()].name} cup from the side, ${this.stations().length} places for the tape${this.active() === null ? '' : `; now place ${(this.active() ?? 0) + 1}`}`,
  );
}
