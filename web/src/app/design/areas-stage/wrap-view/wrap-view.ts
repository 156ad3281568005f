import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  ElementRef,
  inject,
  input,
  model,
  output,
  signal,
} from '@angular/core';
import {
  areaHandles,
  bandRegion,
  flatOutline,
  LEFT_OVER,
  lengthText,
  unrolling,
  type Area,
  type AreaHandle,
  type Design,
  type FlatPoint,
  type Plan,
  type Region,
  type WallPlace,
} from '@aurantia/core';
import { AreaHandleDirective, type HandleMove } from '../../../parts/area-handle/area-handle';
import { ticksUpTo } from '../../../parts/cup-view/ruler';
import { WorkshopMemory } from '../../../services/workshop';

const LEFT = 56;
const RIGHT = 34;
const TOP = 34;
const BOTTOM = 34;

/** The wall laid flat: areas in their colours, a ruler up the seam, and the chosen area's handles. */
@Component({
  selector: 'au-wrap-view',
  imports: [AreaHandleDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wrap-view.html',
  styleUrl: './wrap-view.scss',
})
export class WrapView {
  private readonly memory = inject(WorkshopMemory);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  readonly design = input.required<Design>();
  readonly plan = input.required<Plan>();
  readonly chosen = model.required<string | null>();
  readonly moved = output<HandleMove>();
  readonly done = output();

  protected readonly size = signal({ width: 0, height: 0 });
  /** apart from the design, so that a moved area draws no wall anew */
  private readonly cup = computed(() => this.design().cup);
  private readonly flat = computed(() => unrolling(this.cup().stations));
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

  protected readonly wall = computed(() => this.path(bandRegion(0, this.plan().surface.height)));
  protected readonly bare = computed(() => {
    const { surface, areas } = this.plan();
    return this.path([...bandRegion(surface.coatedHeight, surface.height), ...areas.barePatch.region]);
  });
  protected readonly parts = computed(() => {
    const { areas, finished } = this.plan();
    return [
      { id: '', name: 'Left over', colour: finished[LEFT_OVER], path: this.path(areas.leftOver.region), masked: false },
      ...areas.areas.map(({ id, name, region, masked }) => ({
        id: id as string,
        name,
        colour: finished[id],
        path: this.path(region),
        masked,
      })),
    ].filter(({ path }) => path !== '');
  });
  private readonly area = computed(() => this.design().areas.find(({ id }) => id === this.chosen()) ?? null);
  protected readonly outline = computed(() => {
    const planned = this.plan().areas.areas.find(({ id }) => id === this.chosen());
    return planned ? this.path(planned.own) : '';
  });
  protected readonly many = computed(() => this.area()?.kind === 'scatter');
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
    return area ? this.bubblesOf(area) : [];
  });

  constructor() {
    const watch = new ResizeObserver(([entry]) => {
      const { width, height } = entry.contentRect;
      this.size.set({ width: Math.floor(width), height: Math.floor(height) });
    });
    watch.observe(this.host.nativeElement);
    inject(DestroyRef).onDestroy(() => watch.disconnect());
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

  private path(region: Region): string {
    if (this.size().width === 0) return '';
    return flatOutline(region, this.cup().stations, this.flat())
      .map((ring) => {
        const points = ring.slice(0, -1).map((point) => {
          const [x, y] = this.at()(point);
          return `${x.toFixed(1)} ${y.toFixed(1)}`;
        });
        return `M${points.join('L')}Z`;
      })
      .join('');
  }

  /** The figures that matter while the chosen area is moved, at the ends they belong to. */
  private bubblesOf(area: Area): readonly { x: number; y: number; text: string }[] {
    const planned = this.plan().areas.areas.find(({ id }) => id === area.id);
    if (!planned || planned.from === null || planned.to === null) return [];
    const units = this.memory.units();
    const handles = this.handles();
    const ends = (lower: string, upper: string) =>
      [
        { key: 'lower', text: lower, by: 22 },
        { key: 'upper', text: upper, by: -20 },
      ].flatMap(({ key, text, by }) => {
        const one = handles.find(({ handle }) => handle.key === key);
        return one ? [{ x: this.inside(one.x), y: one.y + by, text }] : [];
      });
    switch (area.kind) {
      case 'wedge':
        return ends(
          `${lengthText(planned.lowerWidth ?? 0, units)} wide below`,
          `${lengthText(planned.upperWidth ?? 0, units)} wide above`,
        );
      case 'band':
      case 'scatter':
        return ends(
          `from ${lengthText(handles.at(0)?.handle.height ?? 0, units)}`,
          `to ${lengthText(handles.at(1)?.handle.height ?? 0, units)}`,
        );
      case 'spiral':
        return handles
          .slice(1, 2)
          .map(({ x, y }) => ({ x: this.inside(x), y: y - 20, text: `climbs ${lengthText(area.pitch, units)} a turn` }));
      case 'wave':
        return handles
          .slice(1, 2)
          .map(({ x, y }) => ({ x: this.inside(x), y: y - 20, text: `swings ${lengthText(area.swing, units)}` }));
      case 'window':
        return handles
          .slice(1, 2)
          .map(({ x, y }) => ({ x: this.inside(x), y: y - 20, text: `${lengthText(area.width, units)} wide` }));
      default:
        return [];
    }
  }

  private inside(x: number): number {
    return Math.min(this.size().width - 66, Math.max(66, x));
  }
}
