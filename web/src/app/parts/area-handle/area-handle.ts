import { computed, Directive, inject, input, output } from '@angular/core';
import { lengthText, type AreaHandle, type WallPlace } from '@aurantia/core';
import { WorkshopMemory } from '../../services/workshop';

/**
 * A handle dragged to a place of the wall, or stepped by so much from where it is: a held key is faster
 * than the page is drawn, so only the owner knows where that is.
 */
export type HandleMove = { readonly key: string; readonly to: WallPlace } | { readonly key: string; readonly by: WallPlace };

/** A point of an area that can be dragged, or moved by arrow keys: 1 mm or 1° a press, ten with Shift. */
@Directive({
  selector: '[auHandle]',
  host: {
    class: 'handle',
    role: 'slider',
    tabindex: '0',
    '[class.held]': 'held',
    '[attr.aria-label]': 'handle().label',
    '[attr.aria-valuenow]': 'value()',
    '[attr.aria-valuemin]': '0',
    '[attr.aria-valuemax]': 'most()',
    '[attr.aria-valuetext]': 'spoken()',
    '[attr.aria-orientation]': 'handle().goes === "round" ? "horizontal" : "vertical"',
    '(pointerdown)': 'grab($event)',
    '(pointermove)': 'pull($event)',
    '(pointerup)': 'letGo()',
    '(pointercancel)': 'letGo()',
    '(keydown)': 'key($event)',
    '(keyup)': 'done.emit()',
    // The key may come up elsewhere: what was stepped is kept all the same.
    '(blur)': 'done.emit()',
  },
})
export class AreaHandleDirective {
  private readonly memory = inject(WorkshopMemory);
  readonly handle = input.required<AreaHandle>({ alias: 'auHandle' });
  /** top of the wall, mm */
  readonly top = input.required<number>();
  /** where on the wall a point of the window is */
  readonly wallAt = input.required<(clientX: number, clientY: number) => WallPlace | null>();
  readonly moved = output<HandleMove>();
  readonly grabbed = output();
  readonly done = output();

  protected held = false;
  protected readonly value = computed(() => {
    const { goes, angle, height } = this.handle();
    return Math.round((goes === 'round' ? angle : height) * 10) / 10;
  });
  protected readonly most = computed(() => (this.handle().goes === 'round' ? 360 : Math.round(this.top())));
  protected readonly spoken = computed(() => {
    const { goes, angle, height } = this.handle();
    const up = `${lengthText(height, this.memory.units())} above the foot`;
    const round = `${Math.round(angle)}° from the seam`;
    return goes === 'up' ? up : goes === 'round' ? round : `${up}, ${round}`;
  });

  protected grab(event: PointerEvent): void {
    event.preventDefault();
    event.stopPropagation();
    const target = event.currentTarget as SVGElement;
    target.setPointerCapture(event.pointerId);
    target.focus();
    this.held = true;
    this.grabbed.emit();
  }

  protected pull(event: PointerEvent): void {
    if (!this.held) return;
    const place = this.wallAt()(event.clientX, event.clientY);
    if (place) this.moved.emit({ key: this.handle().key, to: place });
  }

  protected letGo(): void {
    if (!this.held) return;
    this.held = false;
    this.done.emit();
  }

  protected key(event: KeyboardEvent): void {
    const step = event.shiftKey ? 10 : 1;
    const [round, up] = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key] ?? [0, 0];
    if (round === 0 && up === 0) return;
    event.preventDefault();
    event.stopPropagation();
    // On a handle that only goes round, up and down turn it too, and the other way about.
    const { key, goes } = this.handle();
    const by =
      goes === 'round'
        ? { angle: (round + up) * step, height: 0 }
        : goes === 'up'
          ? { angle: 0, height: (up + round) * step }
          : { angle: round * step, height: up * step };
    this.moved.emit({ key, by });
  }
}
