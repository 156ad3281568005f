import { MatProgressBar } from '@angular/material/progress-bar';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  output,
  signal,
  untracked,
} from '@angular/core';
import {
  countText,
  coverCostOf,
  MOST_JARS,
  usualMix,
  type FoundMix,
  type PlannedBlend,
  type ShelfAnswer,
  type ShelfItemId,
  type ShelfWish,
} from '@aurantia/core';
import { timer, switchMap, type Subscription } from 'rxjs';
import { ColourField } from '../../../parts/fields/colour-field';
import { NumberField } from '../../../parts/fields/number-field';
import { Pick } from '../../../parts/fields/pick';
import { PhotoColour } from '../../../parts/photo-colour/photo-colour';
import { Mixes } from '../../../services/mixes';
import { Palettes } from '../../../services/palettes';
import { WorkshopMemory } from '../../../services/workshop';
import { MixCard } from './mix-card';
import { Tick } from '../../../parts/fields/tick';
import { BUTTONS } from '../../../parts/buttons';

/** ms of quiet before a search begins, so that typing never waits for one */
const QUIET = 250;

/** Which mix of the shelf comes nearest to a colour: picked, typed, from a photo, or of another blend. */
@Component({
  selector: 'au-find-mix',
  imports: [BUTTONS, ColourField, NumberField, Pick, PhotoColour, MixCard, Tick, MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './find-mix.html',
  styleUrl: './find-mix.scss',
})
export class FindMix {
  private readonly mixes = inject(Mixes);
  private readonly memory = inject(WorkshopMemory);
  private readonly palettes = inject(Palettes);
  /** the blend of the area, if it has one: its amount, depth and base are what the mix is for */
  readonly blend = input.required<PlannedBlend | null>();
  readonly others = input.required<readonly PlannedBlend[]>();
  /** hex of what lies under a mix here */
  readonly under = input.required<string>();
  /** the colour to start from, when it isn’t the blend’s own: one that has lost a jar */
  readonly wanted = input<string | null>(null);
  readonly used = output<FoundMix>();

  protected readonly most = MOST_JARS;
  protected readonly sizes = Array.from({ length: MOST_JARS }, (_, i) => ({ value: String(i + 1), name: `${i + 1}` }));
  protected readonly target = linkedSignal<string>(() => this.wanted() ?? untracked(() => this.blend()?.seen ?? '#c2470f'));
  protected readonly size = signal(3);
  protected readonly total = linkedSignal<number>(() => untracked(() => this.blend()?.ml ?? 0) || usualMix.total);
  protected readonly depth = computed(() => this.blend()?.kept || usualMix.depth);
  protected readonly keep = signal<string>('');
  protected readonly onlyFine = signal(false);
  protected readonly onlyLeft = signal(true);
  protected readonly goals = [
    { value: 'nearest', name: 'the nearest' },
    { value: 'cheapest', name: 'a cheaper mix' },
  ];
  protected readonly goal = signal('nearest');
  /** ΔE00 a cheaper one may be off: below it no eye parts the two */
  protected readonly within = signal(2);
  protected readonly withinWrong = computed(() => (this.within() > 0 && this.within() <= 10 ? null : 'Between 0 and 10.'));
  /** what 100 cm² of it costs as the blend is now */
  protected readonly now = computed(() => {
    const blend = this.blend();
    return blend && coverCostOf(blend, this.memory.shelf());
  });
  protected readonly photo = signal(false);
  protected readonly stopped = signal(false);
  protected readonly answer = signal<ShelfAnswer | null>(null);
  protected readonly sentence = signal<string | null>(null);
  protected readonly refused = computed(() =>
    /^#[0-9a-f]{6}$/i.test(this.target()) ? null : 'Write # and six digits, like #c2470f.',
  );
  protected readonly jars = computed(() => this.memory.shelf().filter(({ kind }) => kind === 'glitter'));
  protected readonly keeps = computed(() => [
    { value: '', name: 'any jars' },
    ...this.jars().map(({ id, name }) => ({ value: id as string, name })),
  ]);
  protected readonly sources = computed(() => [
    { value: '', name: 'its own' },
    ...this.others().map(({ area, areaName }) => ({ value: area as string, name: areaName })),
  ]);
  protected readonly paletteColours = computed(() => [
    { value: '', name: 'none' },
    ...this.palettes
      .all()
      .flatMap((palette, p) => palette.colours.map((one, i) => ({ value: `${p}/${i}`, name: `${palette.name}: ${one.name}` }))),
  ]);
  protected readonly searching = computed(
    () => this.wish() !== null && this.sentence() === null && !this.stopped() && this.answer()?.over !== true,
  );
  protected readonly jarCount = computed(() => countText(this.jars().length, 'jar'));
  protected readonly bestFirst = computed(() => {
    const mixes = [...(this.answer()?.mixes ?? [])];
    return this.goal() === 'cheapest' ? mixes.reverse() : mixes.sort((one, other) => one.difference - other.difference);
  });
  protected readonly best = computed(() => this.answer()?.mixes.at(-1) ?? null);
  protected readonly wish = computed<ShelfWish | null>(() =>
    this.refused() || (this.goal() === 'cheapest' && this.withinWrong())
      ? null
      : {
          target: this.target(),
          size: this.size(),
          total: this.total(),
          step: this.memory.settings().spoonStep,
          depth: this.depth(),
          under: this.under(),
          keep: this.keep() ? [this.keep() as ShelfItemId] : [],
          without: [],
          onlyFine: this.onlyFine(),
          onlyLeft: this.onlyLeft(),
          cheapest: this.goal() === 'cheapest' ? { within: this.within(), below: this.now() } : null,
        },
  );
  private search: Subscription | null = null;

  constructor() {
    this.palettes.load();
    effect((onCleanup) => {
      const wish = this.wish();
      const shelf = this.memory.shelf();
      this.answer.set(null);
      this.sentence.set(null);
      this.stopped.set(false);
      if (!wish) return;
      this.search = timer(QUIET)
        .pipe(switchMap(() => this.mixes.find(wish, shelf)))
        .subscribe({
          next: (answer) => this.answer.set(answer),
          error: (error: Error) => this.sentence.set(error.message),
        });
      onCleanup(() => this.search?.unsubscribe());
    });
  }

  protected stop(): void {
    this.search?.unsubscribe();
    this.stopped.set(true);
  }

  protected likeOther(area: string): void {
    const other = this.others().find((one) => one.area === area) ?? this.blend();
    if (other) this.target.set(other.seen);
  }

  protected likePalette(at: string): void {
    const [palette, colour] = at.split('/').map(Number);
    const found = this.palettes.all().at(palette)?.colours.at(colour);
    if (at !== '' && found) this.target.set(found.colour);
  }

  protected fromPhoto(colour: string): void {
    this.target.set(colour);
  }
}
