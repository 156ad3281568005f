import { ChangeDetectionStrategy, Component, DestroyRef, effect, ElementRef, inject, input, viewChild } from '@angular/core';
import { Chart, Filler, LinearScale, LineController, LineElement, PointElement } from 'chart.js';
import { RoomLight } from '../../services/room-light';

Chart.register(Filler, LinearScale, LineController, LineElement, PointElement);

/** A place on a curve. */
export interface CurvePoint {
  readonly x: number;
  readonly y: number;
}

/** What is drawn: one curve, and points of it that mean something, each told apart by its shape and said beside it. */
export interface Curve {
  /** what the axes count, as `ml a pour` */
  readonly along: string;
  readonly up: string;
  readonly points: readonly CurvePoint[];
  /** how far off it may be at each of them, filled between */
  readonly band?: readonly { readonly x: number; readonly low: number; readonly high: number }[];
  readonly marks: readonly (CurvePoint & { readonly name: string })[];
  /** how a figure of each axis reads */
  readonly told: { readonly x: (value: number) => string; readonly y: (value: number) => string };
  /** the same along the upper axis, where there is less room for words */
  readonly axis?: { readonly y: (value: number) => string };
  /** where the upper axis ends; null for wherever the curve does */
  readonly top: number | null;
  /** where it begins, if not at nothing */
  readonly bottom?: number;
  /** a height that means something, drawn across */
  readonly limit?: { readonly y: number; readonly name: string };
  /** straight up and down between points, as a count goes */
  readonly steps: boolean;
}

const shapes = ['rectRot', 'triangle', 'circle'] as const;
/** A curve is never older than this, ms. */
const LATEST = 100;
/** Rows of the same for whoever can't see it. */
const ROWS = 8;

/** A curve of figures, and the same as a table for who can't see it. */
@Component({
  selector: 'au-curve',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="drawn"><canvas #canvas role="img" [attr.aria-label]="label()"></canvas></div>
    <ul aria-hidden="true">
      @for (mark of curve().marks; track mark.name; let at = $index) {
        <li>
          <svg viewBox="-6 -6 12 12"><path [attr.d]="outlines[at % outlines.length]" /></svg>
          {{ mark.name }}: {{ curve().told.x(mark.x) }}, {{ curve().told.y(mark.y) }}
        </li>
      }
      @if (curve().limit; as limit) {
        <li>
          <svg viewBox="-6 -6 12 12"><path d="M-6-1h5v2h-5zM1-1h5v2h-5z" /></svg> {{ limit.name }}
        </li>
      }
    </ul>
    <table class="unseen">
      <caption>
        {{
          label()
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">{{ curve().along }}</th>
          <th scope="col">{{ curve().up }}</th>
        </tr>
      </thead>
      <tbody>
        @for (point of rows(); track $index) {
          <tr>
            <td>{{ curve().told.x(point.x) }}</td>
            <td>{{ curve().told.y(point.y) }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 4px;
      position: relative;
    }
    .drawn {
      position: relative;
      height: 150px;
    }
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 2px 14px;
      margin: 0;
      padding: 0;
      list-style: none;
      font-size: 0.7812rem;
      color: var(--soft);
    }
    svg {
      width: 11px;
      height: 11px;
      fill: var(--peel);
      vertical-align: -1px;
    }
  `,
})
export class CurveChart {
  readonly label = input.required<string>();
  readonly curve = input.required<Curve>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  /** as the marks are drawn: a square on its corner, a triangle, a disc */
  protected readonly outlines = ['M0-5L5 0L0 5L-5 0Z', 'M0-5L5 4L-5 4Z', 'M-4 0a4 4 0 1 0 8 0a4 4 0 1 0-8 0Z'];
  private chart: Chart<'line', CurvePoint[]> | null = null;

  private readonly light = inject(RoomLight);

  constructor() {
    // A curve takes as long to draw as all else that an amount changes: it comes in a turn of its own, the latest one.
    effect((onCleanup) => {
      this.light.now();
      const curve = this.curve();
      const turn = requestIdleCallback(() => this.draw(curve), { timeout: LATEST });
      onCleanup(() => cancelIdleCallback(turn));
    });
    inject(DestroyRef).onDestroy(() => this.chart?.destroy());
  }

  protected rows(): readonly CurvePoint[] {
    const { points } = this.curve();
    const every = Math.max(1, Math.ceil((points.length - 1) / ROWS));
    return points.filter((_, i) => i % every === 0 || i === points.length - 1);
  }

  private draw({ along, up, points, band = [], marks, told, axis: short, top, bottom, steps, limit }: Curve): void {
    const [peel, wash, soft, line, sheet] = ['--peel', '--peel-wash', '--soft', '--line', '--sheet'].map((name) =>
      this.light.token(name),
    );
    const axis = (title: string, tell: (value: number) => string, max?: number, min?: number) => ({
      type: 'linear' as const,
      beginAtZero: true,
      max,
      min,
      border: { color: line },
      grid: { color: line, drawTicks: false },
      title: { display: true, text: title, color: soft, font: { size: 12 } },
      ticks: {
        color: soft,
        maxTicksLimit: 5,
        maxRotation: 0,
        font: { size: 12 },
        callback: (value: number | string) => tell(Number(value)),
      },
    });
    const datasets = [
      {
        data: [...points],
        borderColor: peel,
        backgroundColor: wash,
        fill: band.length === 0,
        pointRadius: 0,
        borderWidth: 2,
        stepped: steps,
        order: marks.length,
      },
      ...(band.length > 0
        ? [
            {
              data: band.map(({ x, high }) => ({ x, y: high })),
              borderWidth: 0,
              pointRadius: 0,
              backgroundColor: wash,
              fill: '+1',
              order: 9,
            },
            { data: band.map(({ x, low }) => ({ x, y: low })), borderWidth: 0, pointRadius: 0, order: 9 },
          ]
        : []),
      ...(limit
        ? [{ data: across(points, limit.y), borderColor: soft, borderDash: [5, 4], pointRadius: 0, borderWidth: 1.5 }]
        : []),
      ...marks.map(({ x, y }, i) => ({
        data: [{ x, y }],
        backgroundColor: peel,
        borderColor: sheet,
        borderWidth: 1.5,
        pointRadius: 7,
        clip: false as const,
        order: i,
        pointStyle: shapes[i % shapes.length],
      })),
    ];
    const scales = {
      x: { ...axis(along, told.x), max: points.at(-1)?.x, min: points.at(0)?.x },
      y: axis(up, short?.y ?? told.y, top ?? undefined, bottom),
    };
    const options = {
      animation: false,
      maintainAspectRatio: false,
      responsive: true,
      font: { family: this.light.token('--text') },
      scales,
    } as const;
    if (this.chart) {
      this.chart.data = { datasets };
      this.chart.options = options;
      this.chart.update('none');
    } else
      this.chart = new Chart<'line', CurvePoint[]>(this.canvas().nativeElement, { type: 'line', data: { datasets }, options });
  }
}

const across = (points: readonly CurvePoint[], y: number): CurvePoint[] =>
  [points.at(0), points.at(-1)].flatMap((end) => (end ? [{ x: end.x, y }] : []));
