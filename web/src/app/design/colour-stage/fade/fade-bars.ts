import { ChangeDetectionStrategy, Component, computed, ElementRef, input, output, viewChild } from '@angular/core';
import { percentText, type Fade, type PlannedFade } from '@aurantia/core';
import { Word } from '../../../parts/word/word';

const ends: Record<Fade['way'], readonly [string, string]> = {
  up: ['foot', 'rim'],
  down: ['rim', 'foot'],
  middle: ['middle', 'both ends'],
  round: ['begin', 'end, round'],
  spiral: ['begin', 'end of the spiral'],
};

/** Stops to drag over the pots as they come, and the same stretch in equal spoons. */
@Component({
  selector: 'au-fade-bars',
  imports: [Word],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fade-bars.html',
  styleUrl: './fade-bars.scss',
})
export class FadeBars {
  readonly fade = input.required<Fade>();
  readonly planned = input.required<PlannedFade>();
  readonly dragged = output<{ stop: number; at: number }>();
  readonly done = output();
  private readonly way = viewChild.required<ElementRef<HTMLElement>>('way');

  protected readonly ends = computed(() => ends[this.fade().way]);
  protected readonly stops = computed(() =>
    this.fade().stops.map(({ at }, i) => ({
      at,
      name: `Stop ${i + 1}`,
      spoken: `${percentText(at, 1)} of the way`,
      now: Math.round(at * 1000) / 10,
    })),
  );
  protected readonly rows = computed(() => {
    const { laid, slices } = this.planned();
    if (!laid) return [];
    const wide = (i: number) => slices[i].slot.to - slices[i].slot.from;
    const choppy = new Set(laid.choppy);
    const within = (i: number, stretch: { from: number; to: number } | null) =>
      stretch !== null && i > stretch.from && i <= stretch.to;
    return [
      {
        name: 'Your pots',
        pots: laid.pots.map(({ seen, apart }, i) => ({
          seen,
          apart,
          wide: wide(i),
          choppy: choppy.has(i),
          dead: within(i, laid.dead),
        })),
      },
      {
        name: 'Equal spoons',
        pots: laid.equal.map(({ seen, apart }, i) => ({
          seen,
          apart,
          wide: wide(i),
          choppy: false,
          dead: within(i, laid.deadInEqual),
        })),
      },
    ];
  });

  protected grab(event: PointerEvent): void {
    event.preventDefault();
    const handle = event.currentTarget as HTMLElement;
    handle.setPointerCapture(event.pointerId);
    handle.focus();
  }

  protected pull(event: PointerEvent, stop: number): void {
    if (!(event.currentTarget as HTMLElement).hasPointerCapture(event.pointerId)) return;
    const box = this.way().nativeElement.getBoundingClientRect();
    this.dragged.emit({ stop, at: Math.min(1, Math.max(0, (event.clientX - box.left) / box.width)) });
  }

  protected key(event: KeyboardEvent, stop: number): void {
    const step = { ArrowLeft: -0.01, ArrowDown: -0.01, ArrowRight: 0.01, ArrowUp: 0.01 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    this.dragged.emit({ stop, at: this.fade().stops[stop].at + step * (event.shiftKey ? 5 : 1) });
  }
}
