import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import {
  fieldBeside,
  fieldPlanOf,
  type AreaHandle,
  type AreaId,
  type FadeBeside,
  type Cup,
  type FlakeField,
  type Plan,
  type WallPlace,
} from '@aurantia/core';
import { switchMap, timer, type Subscription } from 'rxjs';
import { Drawings } from '../../services/drawings';
import { Flakes } from '../../services/flakes';
import { Notices } from '../../services/notices';
import { Painter } from '../../services/painter';
import { RoomLight } from '../../services/room-light';
import { ScreenDots } from '../../services/screen-dots';
import { WorkshopMemory } from '../../services/workshop';
import type { LatheCup } from './lathe-cup';
import { AreaHandleDirective, type HandleMove } from '../area-handle/area-handle';
import type { Drawing } from '../../drawn/drawing';
import { placeSeenAt, seenAt } from '../../drawn/seen-at';
import { BareCup } from './bare-cup';
import { edgeMarks, edgesOf, frontOf, pieceNames, type Marked } from './drawn-edges';
import { FlatCup } from './flat-cup';
import { potMarks } from './pot-marks';
import { handleColour, radiusAt, rowOf, stanceIn, topOf, type Stance } from '@aurantia/core/figure';
import { ticksUpTo } from './ruler';
import { Turning } from './turning';

const RULER = 58;
/** ms without a change before flakes are dropped anew: of the areas, which are dragged, and of all else, which is typed */
const QUIET = { areas: 350, typed: 100 };

/** The cup, large and turning, with a ruler and the edges of its areas. */
@Component({
  selector: 'au-cup-view',
  imports: [AreaHandleDirective, BareCup],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cup-view.html',
  styleUrl: './cup-view.scss',
})
export class CupView {
  private readonly flakes = inject(Flakes);
  private readonly painter = inject(Painter);
  private readonly drawings = inject(Drawings);
  private readonly light = inject(RoomLight);
  private readonly notices = inject(Notices);
  private readonly memory = inject(WorkshopMemory);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  readonly plan = input.required<Plan>();
  readonly cup = input.required<Cup>();
  readonly chosen = input<string | null>(null);
  /** the coat whose pieces are marked in place of an area */
  readonly piece = input<string | null>(null);
  /** a spot that is kept in sight; the marked area then turns nothing */
  readonly front = input<WallPlace | null>(null);
  /** half of the chosen area's fade is shown as it would have been otherwise */
  readonly beside = input<'' | FadeBeside>('');
  /** points of the chosen area that can be dragged here too */
  readonly handles = input<readonly AreaHandle[]>([]);
  /** a hand is dragging: the last flakes stay until it lets go */
  readonly held = input(false);
  readonly moved = output<HandleMove>();
  readonly done = output();

  private readonly lines = viewChild.required<ElementRef<HTMLCanvasElement>>('lines');
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  protected readonly size = signal({ width: 0, height: 0 });
  private readonly turning = new Turning();
  /** how far the flat cup that is shown was turned when it was painted */
  private readonly paintedTurn = signal<number | null>(null);
  /** What lies over the cup turns along with it: a flat one comes a moment after it is asked for. */
  protected readonly turn = computed(() => this.paintedTurn() ?? this.turning.now());
  protected readonly field = signal<FlakeField | null>(null);
  protected readonly busy = signal(true);
  /** until its first picture is there */
  protected readonly bare = computed(() => this.field() === null || (this.way() !== 'solid' && this.paintedTurn() === null));
  /** 0..1 of the flakes that lie, of a picture under work */
  private readonly fallen = computed(() => this.field()?.done ?? 0);
  /** 'solid' on the graphics card, 'flat' without one, null until known */
  protected readonly way = signal<'solid' | 'flat' | null>(null);
  private lathe: LatheCup | null = null;
  private flat: FlatCup | null = null;
  private wish: Subscription | null = null;
  private drag: number | null = null;
  /** the areas of the picture last asked for */
  private asked: Plan['areas'] | null = null;

  private readonly dots = inject(ScreenDots).now;
  protected readonly stance = computed<Stance>(() => {
    const { width, height } = this.size();
    const stance = stanceIn(this.cup(), Math.max(80, width - RULER - 24), Math.max(80, height), 10);
    return { ...stance, axis: stance.axis + RULER };
  });
  /** pixels a mm of the unrolled wall: as many as the screen shows, so that flakes stay crisp */
  private readonly grain = computed(() => Math.max(1, Math.round(this.stance().scale * this.dots() * 4) / 4));
  protected readonly ticks = computed(() => {
    const units = this.memory.units();
    return ticksUpTo(this.plan().surface.height, units).map((tick) => ({ ...tick, y: rowOf(this.stance(), tick.mm) }));
  });
  protected readonly rulerUnit = computed(() => (this.memory.units().length === 'mm' ? 'mm' : 'in'));
  private readonly marked = computed<Marked>(() => ({ area: this.chosen(), coat: this.piece() }));
  private readonly edges = computed(() => edgeMarks(edgesOf(this.plan(), this.marked()), this.light.token('--peel')));
  private readonly drawnEdges = computed<Drawing>(() => ({
    ...this.size(),
    dots: this.dots(),
    wall: { how: 'cup', stations: this.cup().stations, stance: this.stance(), turn: this.turn() },
    marks: this.edges(),
  }));
  protected readonly pieceNames = computed(() => pieceNames(this.plan(), this.cup().stations, this.stance(), this.turn()));
  protected readonly brackets = computed(() => {
    const area = this.plan().areas.areas.find(({ id }) => id === this.chosen());
    return area && area.from !== null && area.to !== null
      ? [{ top: rowOf(this.stance(), area.to), bottom: rowOf(this.stance(), area.from) }]
      : [];
  });
  /** where each pot of a chosen fade lies, named beside the cup */
  protected readonly potMarks = computed(() => {
    const fade = this.plan().fades.find(({ area }) => area === this.chosen());
    return fade ? potMarks(fade, this.cup().stations, this.stance()) : [];
  });
  private readonly handleColour = computed(() => handleColour(this.plan()));
  protected readonly knobs = computed(() =>
    this.handles()
      .map((handle) => ({ handle, ...seenAt(handle.angle, handle.height, this.cup().stations, this.stance(), this.turn()) }))
      .filter(({ near }) => near),
  );
  protected readonly wallAt = (clientX: number, clientY: number): WallPlace | null => {
    const box = this.host.nativeElement.getBoundingClientRect();
    return placeSeenAt(clientX - box.left, clientY - box.top, this.cup().stations, this.stance(), this.turn());
  };
  protected readonly top = computed(() => topOf(this.cup().stations));
  protected readonly spoken = computed(() => {
    const names = this.plan()
      .areas.areas.map((area) => area.name)
      .join(', ');
    return `${this.plan().name} on ${this.cup().name}${names ? `: ${names}` : ', no areas yet'}. Arrow keys turn it.`;
  });

  private left = false;

  constructor() {
    const watch = new ResizeObserver(([entry]) => {
      const { width, height } = entry.contentRect;
      this.size.set({ width: Math.floor(width), height: Math.floor(height) });
    });
    watch.observe(this.host.nativeElement);
    inject(DestroyRef).onDestroy(() => {
      this.left = true;
      watch.disconnect();
      this.turning.stop();
      this.wish?.unsubscribe();
      this.lathe?.dispose();
      this.flat?.dispose();
    });
    afterNextRender(() => void this.begin());
    effect(() => {
      if (!this.held()) this.ask(this.plan(), this.cup(), this.grain(), this.beside());
    });
    effect(() => {
      if (this.way() === 'solid') this.lathe?.shape(this.cup(), this.handleColour());
    });
    effect(() => {
      const field = this.field();
      if (field && this.way() === 'solid') this.lathe?.wrap(field);
    });
    effect(() => this.draw());
    effect(() => {
      const canvas = this.lines().nativeElement;
      this.drawings.draw(canvas, this.drawnEdges(), untracked(this.held));
      canvas.dataset['painted'] = 'lines';
    });
    effect(() => this.turnTo(this.marked(), this.front()));
  }

  /** Brings the middle of a newly chosen area, or the first piece of a coat, to the front; a drag of it turns nothing. */
  private turnTo(marked: Marked, front: WallPlace | null): void {
    const middle = front ?? untracked(() => frontOf(this.plan(), marked));
    const from = untracked(this.turn);
    // What is asked for by its spot is moved by hand: only what can’t be seen is turned.
    if (!middle || (front && seenAt(front.angle, front.height, this.cup().stations, untracked(this.stance), from).near)) return;
    this.turning.to(((180 - middle.angle) * Math.PI) / 180);
  }

  protected key(event: KeyboardEvent): void {
    const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    this.turning.by(step * (Math.PI / 18));
  }

  protected grab(event: PointerEvent): void {
    this.turning.stop();
    this.drag = event.clientX;
    this.canvas().nativeElement.setPointerCapture(event.pointerId);
  }

  protected pull(event: PointerEvent): void {
    if (this.drag === null) return;
    const { scale } = this.stance();
    const widest = radiusAt(this.cup().stations, topOf(this.cup().stations));
    const moved = event.clientX - this.drag;
    this.drag = event.clientX;
    this.turning.by(moved / (scale * widest));
  }

  protected letGo(): void {
    this.drag = null;
  }

  /** three.js comes only now, and only if there is something for it to draw with. */
  private async begin(): Promise<void> {
    try {
      const { LatheCup } = await import('./lathe-cup');
      // Left while it was on its way: nothing is made that nobody would take away again.
      if (this.left) return;
      this.lathe = new LatheCup(this.canvas().nativeElement);
      this.way.set('solid');
    } catch (error) {
      if (this.left) return;
      // No WebGL here, or it couldn't come: the same picture, painted point by point.
      this.way.set('flat');
      if (!(error instanceof Error && error.name === 'NoWebGlError')) this.notices.failed(error);
    }
  }

  private ask(plan: Plan, cup: Cup, pixelsPerMm: number, beside: '' | FadeBeside): void {
    if (this.size().width === 0) return;
    this.busy.set(true);
    this.wish?.unsubscribe();
    const whole = fieldPlanOf(plan);
    const chosen = untracked(this.chosen);
    const field = beside === '' || chosen === null ? whole : fieldBeside(whole, plan, chosen as AreaId, beside);
    // While a hand drags or types, the last picture stays; dropping flakes for each step would only slow the hand.
    const pause = untracked(this.field) === null ? 0 : plan.areas === this.asked ? QUIET.typed : QUIET.areas;
    this.asked = plan.areas;
    this.wish = timer(pause)
      .pipe(switchMap(() => this.flakes.picture('cup', { what: 'cup', plan: field, cup, pixelsPerMm })))
      .subscribe({
        next: (field) => {
          // A cup never seen shows coarse at once; later the last picture stays until all flakes lie.
          if (field.done === 1 || untracked(this.fallen) < 1) this.field.set(field);
          this.busy.set(field.done < 1);
        },
        error: (error: unknown) => this.notices.failed(error),
      });
  }

  private draw(): void {
    const { width, height } = this.size();
    const stance = this.stance();
    const field = this.field();
    const way = this.way();
    const turn = this.turning.now();
    if (!field || width === 0 || way === null) return;
    const canvas = this.canvas().nativeElement;
    if (way === 'solid') {
      this.lathe?.draw(width, height, this.dots(), stance, turn);
      canvas.dataset['painted'] = way;
      return;
    }
    this.flat ??= new FlatCup(canvas, this.painter);
    const shown = { width, height, dots: this.dots(), stance, turn, handle: this.handleColour() };
    this.flat.draw({ field, cup: this.cup() }, shown, {
      hung: (hung) => this.paintedTurn.set(hung),
      failed: (error) => this.notices.failed(error),
    });
  }
}
