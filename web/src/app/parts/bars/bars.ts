import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  input,
  viewChild,
} from '@angular/core';
import { BarController, BarElement, CategoryScale, Chart, LinearScale } from 'chart.js';
import { RoomLight } from '../../services/room-light';

Chart.register(BarController, BarElement, CategoryScale, LinearScale);

/** Figures side by side, each made of parts that are stacked. */
export interface Bars {
  /** what is counted */
  readonly along: string;
  readonly names: readonly string[];
  /** of each part, its figure in every bar */
  readonly parts: readonly { readonly name: string; readonly values: readonly number[] }[];
  /** how a figure reads */
  readonly told: (value: number) => string;
}

/** Tokens of colour that parts take turns with, and how thin each is hatched, 0 where it is plain: they are told apart without colour too. */
const LOOKS = [
  { token: '--peel', gap: 0 },
  { token: '--plum', gap: 3 },
  { token: '--leaf', gap: 0 },
  { token: '--warn', gap: 2 },
  { token: '--soft', gap: 0 },
  { token: '--peel', gap: 2.5 },
  { token: '--leaf', gap: 3 },
  { token: '--ink', gap: 0 },
  { token: '--plum', gap: 0 },
  { token: '--grip', gap: 3 },
] as const;
const ROW = 30;
/** px of a tile of hatching. */
const TILE = 6;
/** Letters beside a bar. */
const LONGEST = 28;

/** Bars that lie, a line each; what each part is stands below, and the same as a table for who can’t see it. */
@Component({
  selector: 'au-bars',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="drawn" [style.height.px]="high()"><canvas #canvas role="img" [attr.aria-label]="label()"></canvas></div>
    <ul aria-hidden="true">
      @for (part of key(); track part.name) {
        <li><span [style.background]="part.paint"></span> {{ part.name }}</li>
      }
    </ul>
    <div class="unseen">
      <table>
        <caption>
          {{
            label()
          }}
        </caption>
        <thead>
          <tr>
            <td></td>
            @for (part of bars().parts; track part.name) {
              <th scope="col">{{ part.name }}</th>
            }
          </tr>
        </thead>
        <tbody>
          @for (name of bars().names; track $index; let at = $index) {
            <tr>
              <th scope="row">{{ name }}</th>
              @for (part of bars().parts; track part.name) {
                <td>{{ bars().told(part.values[at]) }}</td>
              }
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 6px;
      position: relative;
    }
    .drawn {
      position: relative;
    }
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 3px 14px;
      margin: 0;
      padding: 0;
      list-style: none;
      font-size: 0.7812rem;
      color: var(--soft);
    }
    span {
      display: inline-block;
      width: 16px;
      height: 10px;
      border: 1px solid var(--soft);
    }
  `,
})
export class BarsChart {
  readonly label = input.required<string>();
  readonly bars = input.required<Bars>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  protected readonly high = computed(() => 56 + ROW * this.bars().names.length);
  protected readonly key = computed(() =>
    this.bars().parts.map(({ name }, at) => {
      const { token, gap } = LOOKS[at % LOOKS.length];
      const paint =
        gap === 0 ? `var(${token})` : `repeating-linear-gradient(135deg, var(${token}) 0 2px, var(--sheet) 2px ${1.6 * gap}px)`;
      return { name, paint };
    }),
  );
  private chart: Chart<'bar', number[], string> | null = null;

  private readonly light = inject(RoomLight);

  constructor() {
    effect(() => this.draw(this.bars()));
    inject(DestroyRef).onDestroy(() => this.chart?.destroy());
  }

  private draw({ names, parts, told, along }: Bars): void {
    const [soft, line, ink] = ['--soft', '--line', '--ink'].map((name) => this.light.token(name));
    const data = {
      labels: names.map(short),
      datasets: parts.map(({ name, values }, at) => {
        const look = LOOKS[at % LOOKS.length];
        return {
          label: name,
          data: [...values],
          backgroundColor: hatched(this.light.token(look.token), this.light.token('--sheet'), look.gap),
          borderColor: this.light.token('--sheet'),
          borderWidth: 1,
          barThickness: 16,
        };
      }),
    };
    const font = { size: 12 };
    const options = {
      indexAxis: 'y' as const,
      animation: false as const,
      maintainAspectRatio: false,
      responsive: true,
      font: { family: this.light.token('--text') },
      scales: {
        x: {
          stacked: true,
          border: { color: line },
          grid: { color: line, drawTicks: false },
          title: { display: true, text: along, color: soft, font },
          ticks: { color: soft, maxTicksLimit: 6, font, callback: (value: number | string) => told(Number(value)) },
        },
        y: { stacked: true, border: { color: line }, grid: { display: false }, ticks: { color: ink, font, autoSkip: false } },
      },
    };
    if (this.chart) {
      this.chart.data = data;
      this.chart.options = options;
      this.chart.update('none');
    } else this.chart = new Chart<'bar', number[], string>(this.canvas().nativeElement, { type: 'bar', data, options });
  }
}

/** As much of a name as there is room for beside its bar. */
const short = (name: string): string => (name.length > LONGEST ? `${name.slice(0, LONGEST - 1)}…` : name);

/** Paint that is plain, or hatched. @param gap the more, the thinner its lines; 0 is plain */
function hatched(colour: string, ground: string, gap: number): string | CanvasPattern {
  if (gap === 0) return colour;
  const tile = document.createElement('canvas');
  tile.width = tile.height = TILE;
  const pen = tile.getContext('2d');
  if (!pen) return colour;
  pen.fillStyle = ground;
  pen.fillRect(0, 0, tile.width, tile.height);
  // Lines that go on from tile to tile: one across it, and its ends in both corners.
  pen.strokeStyle = colour;
  pen.lineWidth = TILE / gap;
  for (const shift of [-TILE, 0, TILE]) {
    pen.beginPath();
    pen.moveTo(shift, TILE);
    pen.lineTo(shift + TILE, 0);
    pen.stroke();
  }
  return pen.createPattern(tile, 'repeat') ?? colour;
}
