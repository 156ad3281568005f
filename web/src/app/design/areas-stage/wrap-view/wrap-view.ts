import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  input,
  model,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import {
  areaHandles,
  bandRegion,
  LEFT_OVER,
  type AreaHandle,
  type Design,
  type FlatPoint,
  type Plan,
  type WallPlace,
} from '@aurantia/core';
import { AreaHandleDirective, type HandleMove } from '../../../parts/area-handle/area-handle';
import { ticksUpTo } from '../../../parts/cup-view/ruler';
import { RoomLight } from '../../../services/room-light';
import { ScreenDots } from '../../../services/screen-dots';
import { WorkshopMemory } from '../../../services/workshop';
import { bubblesOf } from './wrap-bubbles';
import type { Drawing } from '../../../drawn/drawing';
import { flatOf, outlinePaths } from '../../../drawn/flat-outlines';
import { Drawings } from '../../../services/drawings';
import { wrapMarks, type DrawnArea } from './wrap-marks';
import { Tip } from '../../../parts/tip';

const LEFT = 56;
const RIGHT = 34;
const TOP = 34;
const BOTTOM = 34;

/** The wall laid flat: areas in their colours, a ruler up the seam, and the chosen area's handles. */
@Component({
  selector: 'au-wrap-view',
  imports: [AreaHandleDirective, Tip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wrap-view.html',
  styleUrl: './wrap-view.scss',
})
export class WrapView {
  private readonly memory = inject(WorkshopMemory);
  private readonly light = inject(RoomLight);
  private readonly drawings = inject(Drawings);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  readonly design = input.required<Design>();
  readonly plan = input.required<Plan>();
  readonly chosen = model.required<string | null>();
  /** a hand is dragging */
  readonly held = input(false);
  readonly moved = output<HandleMove>();
  readonly done = output();

  protected readonly size = signal({ width: 0, height: 0 });
  protected readonly viewBox = computed(() => `0 0 ${this.size().width} ${this.size().height}`);
  private readonly dots = inject(ScreenDots).now;
  /** apart from the design, so that a moved area draws no wall anew */
  private readonly cup = computed(() => this.design().cup);
  private readonly flat = computed(() => flatOf(this.cup().stations));
  protected readonly kind = computed(() => this.flat().kind);
  protected readonly scale = computed(() => {
    const { width, height } = this.size();
    const flat = this.flat();
    return Math.max(0.1, Math.min((width - LEFT - RIGHT) / flat.width, (height - TOP - BOTTOM) / flat.height));
  });
  private readonly offset = computed(() => {
    const { width, height } = this.size();
    const flat = this.flat();
    return [
      LEFT + (width - LEFT - RIGHT - flat.width * this.scale()) / 2,
      TOP + (height - TOP - BOTTOM - flat.height * this.scale()) / 2,
    ] as const;
  });
  /** a place of the wall in pixels of the drawing */
  private readonly at = computed(() => {
    const [scale, [left, top]] = [this.scale(), this.offset()];
    return ([x, y]: FlatPoint): FlatPoint => [left + x * scale, top + y * scale];
  });
  /** where the drawing lies in the window, asked for once a drag: asking makes the browser lay out the page */
  private box: DOMRect | null = null;
  readonly wallAt = (clientX: number, clientY: number): WallPlace => {
    const box = this.box ?? this.host.nativeElement.getBoundingClientRect();
    const [left, top] = this.offset();
    return this.flat().wallPoint((clientX - box.left - left) / this.scale(), (clientY - box.top - top) / this.scale());
  };

  private readonly wall = computed(() => bandRegion(0, this.plan().surface.height));
  private readonly bare = computed(() => {
    const { surface, areas } = this.plan();
    return [...bandRegion(surface.coatedHeight, surface.height), ...areas.barePatch.region];
  });
  private readonly parts = computed<readonly DrawnArea[]>(() => {
    const { areas, finished, places, leftOver } = this.plan();
    const masked = new Set<string>(areas.areas.flatMap((area) => (area.masked ? [area.id] : [])));
    return [
      { id: '', title: 'Left over', colour: finished[LEFT_OVER], region: leftOver },
      ...places.map(({ id, area, name, region }) => ({
        id: area === LEFT_OVER ? '' : area,
        title: `${name}${masked.has(area) ? ', masked' : ''}`,
        colour: finished[id],
        region,
      })),
    ];
  });
  private readonly chosenEdge = computed(() => {
    const chosen = this.plan().areas.areas.find(({ id }) => id === this.chosen());
    return chosen ? { id: chosen.id, edge: chosen.own } : null;
  });
  private readonly drawing = computed<Drawing>(() => {
    const [left, top] = this.offset();
    return {
      ...this.size(),
      dots: this.dots(),
      wall: { how: 'flat', stations: this.cup().stations, scale: this.scale(), left, top },
      marks: wrapMarks({ wall: this.wall(), bare: this.bare(), parts: this.parts(), chosen: this.chosenEdge() }, (name) =>
        this.light.token(name),
      ),
    };
  });
  protected readonly spoken = computed(
    () =>
      `The wall laid flat, seam at both sides: ${this.parts()
        .map(({ title }) => title)
        .join(', ')}`,
  );
  /** the area under the pointer */
  protected readonly over = signal<DrawnArea | null>(null);
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private readonly area = computed(() => this.design().areas.find(({ id }) => id === this.chosen()) ?? null);
  protected readonly top = computed(() => this.plan().surface.height);
  protected readonly handles = computed(() => {
    const area = this.area();
    return area ? areaHandles(area, this.cup()).map((handle) => ({ handle, ...this.placed(handle) })) : [];
  });
  protected readonly ticks = computed(() =>
    ticksUpTo(this.plan().surface.height, this.memory.units())
      .filter(({ long }) => long)
      .map(({ mm, figure }) => {
        const [x, y] = this.at()(this.flat().point(0, mm));
        const [inX, inY] = this.at()(this.flat().point(4, mm));
        const length = Math.hypot(inX - x, inY - y) || 1;
        return { mm, figure, x, y, toX: x - ((inX - x) / length) * 7, toY: y - ((inY - y) / length) * 7 };
      }),
  );
  protected readonly unit = computed(() => (this.memory.units().length === 'mm' ? 'mm' : 'in'));
  protected readonly seam = computed(() => {
    const [x, y] = this.at()(this.flat().point(360, this.plan().surface.height));
    return { x: Math.min(x + 6, this.size().width - 32), y };
  });
  protected readonly bubbles = computed(() => {
    const area = this.area();
    if (!area) return [];
    const within = (x: number) => Math.min(this.size().width - 66, Math.max(66, x));
    const bubbles = bubblesOf(area, this.design().cup, this.handles(), this.memory.units());
    return bubbles.map((bubble) => ({ ...bubble, x: within(bubble.x) }));
  });

  constructor() {
    const watch = new ResizeObserver(([entry]) => {
      const { width, height } = entry.contentRect;
      this.size.set({ width: Math.floor(width), height: Math.floor(height) });
    });
    watch.observe(this.host.nativeElement);
    inject(DestroyRef).onDestroy(() => watch.disconnect());
    effect(() => {
      if (this.size().width > 0) this.drawings.draw(this.canvas().nativeElement, this.drawing(), untracked(this.held));
    });
  }

  protected look(event: PointerEvent): void {
    this.over.set(this.partAt(event));
  }

  protected pick(event: MouseEvent): void {
    const part = this.partAt(event);
    if (part && part.id !== '') this.chosen.set(part.id);
  }

  private partAt({ offsetX, offsetY }: MouseEvent): DrawnArea | null {
    const context = this.canvas().nativeElement.getContext('2d');
    const [left, top] = this.offset();
    const [x, y] = [(offsetX - left) / this.scale(), (offsetY - top) / this.scale()];
    const { stations } = this.cup();
    context?.setTransform(1, 0, 0, 1, 0, 0);
    const covers = ({ region }: DrawnArea) =>
      outlinePaths(region, stations).some((path) => context?.isPointInPath(path, x, y, 'evenodd'));
    return this.parts().find(covers) ?? null;
  }

  protected grabbed(): void {
    this.box = this.host.nativeElement.getBoundingClientRect();
  }

  protected letGo(): void {
    this.box = null;
    this.done.emit();
  }

  private placed(handle: AreaHandle): { x: number; y: number } {
    const top = this.plan().surface.height;
    const [x, y] = this.at()(this.flat().point(handle.angle, Math.min(top, Math.max(0, handle.height))));
    return { x, y };
  }
}
