import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { Title } from '@angular/platform-browser';
import { RouterLink } from '@angular/router';
import { retry, tap } from 'rxjs';
import { standingText, stateAt } from '@aurantia/core/make';
import { BUTTONS } from '../../parts/buttons';
import { sameRows } from '../../parts/same-rows';
import { Asking } from '../../services/asking';
import { Beside } from '../../services/beside';
import { MakesList } from '../../services/makes-list';
import { RoomLight } from '../../services/room-light';
import { WorkshopTime } from '../../services/workshop-time';
import { BenchSignals } from './bench-signals';
import { CoatWork } from './coat-work';
import { MakeLog } from './make-log';
import { MakeRail } from './make-rail';
import { OpenMake } from './open-make';

/** ms until a stream that was refused is asked for again. */
const HEARD_AGAIN = 20_000;
/** Cups that are named over the bench at most. */
const FIRST = 12;

/** Where cups are made: one coat at a time, to be read from two metres, under a lamp. */
@Component({
  selector: 'au-bench-place',
  imports: [BUTTONS, CoatWork, MakeLog, MakeRail, RouterLink],
  providers: [BenchSignals, OpenMake],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench-place.html',
  styleUrl: './bench-place.scss',
})
export class BenchPlace {
  private readonly makes = inject(MakesList);
  private readonly time = inject(WorkshopTime);
  private readonly beside = inject(Beside);
  protected readonly all = inject(Asking).all;
  protected readonly open = inject(OpenMake);
  /** of the make that is open; none on the way in */
  readonly id = input<string>();
  protected readonly log = signal(false);
  protected readonly signals = inject(BenchSignals);

  protected readonly lines = computed(
    () =>
      (this.makes.lines() ?? []).map((line) => ({
        ...line,
        called: line.number === 1 && line.label === '' ? line.name : `${line.name} · ${line.label || `make ${line.number}`}`,
        stands: standingText(line.standing, this.time.now()),
        state: stateAt(line.standing, this.time.now()),
      })),
    { equal: sameRows },
  );
  /** as many as fit on the strip; all of them are in the logbook */
  protected readonly first = computed(() => this.lines().slice(0, FIRST));
  protected readonly loaded = computed(() => this.makes.lines() !== null);

  constructor() {
    this.time.watch();
    this.makes.load();
    this.makes
      .changes((devices) => this.beside.devices.set(devices))
      .pipe(
        // Whoever was let in and isn't any more is told so by what they ask next.
        tap({ error: () => this.makes.load() }),
        retry({ delay: HEARD_AGAIN }),
        takeUntilDestroyed(),
      )
      .subscribe((changed) => {
        this.makes.load();
        if (changed === this.open.logged()?.make.id) this.open.open(changed);
      });
    inject(RoomLight).underLamp(inject(DestroyRef));
    // The first one that wants something is opened, where none is named.
    effect(() => {
      const named = this.id();
      const first = this.lines().find(({ state }) => state !== 'done' && state !== 'given up');
      const wanted = named ?? first?.id ?? null;
      if (wanted !== untracked(this.open.logged)?.make.id) untracked(() => this.open.open(wanted));
    });
    inject(DestroyRef).onDestroy(() => this.makes.lines.set(null));
    const title = inject(Title);
    const called = computed(() => {
      const bench = this.open.bench();
      return bench ? `${standingText(bench.standing, this.time.now())} · Aurantia` : 'Bench · Aurantia';
    });
    effect(() => title.setTitle(called()));
  }
}
