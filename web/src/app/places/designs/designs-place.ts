import { ScrollingModule } from '@angular/cdk/scrolling';
import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  Injector,
  input,
  signal,
  untracked,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { MENUS } from '../../parts/menus';
import { Router, RouterLink } from '@angular/router';
import { amountText, countText, daysLeftText, gramsPerMl, type DesignSummary } from '@aurantia/core';
import { debounceTime, Subject, type Observable } from 'rxjs';
import { MaterialGlyph } from '../../parts/glyphs/material-glyph';
import { LongList } from '../../parts/long-list/long-list';
import { textOfFile } from '../../services/file-text';
import { ALL_DESIGNS, DesignList, type DesignsWanted } from '../../services/designs';
import type { KeptDesign, KeptDesigns } from '../../services/kept-designs';
import { UnreadableThings } from '../../services/unreadable-things';
import { FirstCupLesson } from '../../services/lesson';
import { Notices } from '../../services/notices';
import { WorkshopMemory } from '../../services/workshop';
import { SearchField } from '../../parts/fields/search-field';
import { FileField } from '../../parts/fields/file-field';
import { Icon } from '../../parts/icons/icon';
import { DesignFilter } from './design-filter/design-filter';
import { TypicalOffer } from '../../parts/typical-offer/typical-offer';
import { Unfetched } from '../../parts/unfetched/unfetched';
import { Waiting } from '../../parts/waiting';
import { BUTTONS } from '../../parts/buttons';
import { OnTheBench } from './on-the-bench';

/** Cups that stand large, in front. */
const IN_FRONT = 3;
/** Css pixels a mm, in front and behind. */
const SCALE = { front: 1.22, behind: 0.86 };
/** px above and under a cup: air, board, name, line and cup. */
const ROOM = 96;
/** A cup behind is drawn smaller than at its scale only when it is taller than this, px. */
const TALLEST = 230;
/** ms a pause in typing is long before it is looked for. */
const PAUSE = 150;

/** Home: every design as its own cup on a shelf. */
@Component({
  selector: 'au-designs-place',
  imports: [
    OnTheBench,
    BUTTONS,
    Waiting,
    DesignFilter,
    LongList,
    MaterialGlyph,
    MENUS,
    NgTemplateOutlet,
    RouterLink,
    ScrollingModule,
    SearchField,
    FileField,
    Icon,
    TypicalOffer,
    Unfetched,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './designs-place.html',
  styleUrl: './designs-place.scss',
})
export class DesignsPlace {
  protected readonly list = inject(DesignList);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  private readonly injector = inject(Injector);
  protected readonly memory = inject(WorkshopMemory);
  private readonly unreadableThings = inject(UnreadableThings);
  protected readonly lesson = inject(FirstCupLesson);

  /** from the address: what is shown of them */
  readonly where = input<string>();

  protected readonly scale = SCALE;
  protected readonly faults = signal<readonly { path: string; sentence: string }[]>([]);
  protected readonly wanted = this.list.wanted;
  protected readonly narrowing = signal(false);
  /** nothing is looked for: all that is on the table, the newest large in front */
  protected readonly plain = computed(() =>
    (Object.keys(ALL_DESIGNS) as (keyof DesignsWanted)[]).every((part) => this.wanted()[part] === ALL_DESIGNS[part]),
  );
  protected readonly heading = computed(() => {
    if (this.plain()) return 'Lately on the table';
    return { table: 'Found', archive: 'Archived', removed: 'Recently removed' }[this.wanted().where];
  });
  protected readonly nothing = computed(() => {
    const { where, search } = this.wanted();
    if (search !== '') return 'No design is called or tagged so, nor made on such a cup. Try fewer letters of its name.';
    return {
      table: 'No design fits all of this. Ask for less.',
      archive: 'Nothing is archived. A design that is done with can be put here, out of its menu.',
      removed: 'Nothing was removed in the last 30 days. What was before is under Workshop, “Kept safe”.',
    }[where];
  });
  private readonly typed$ = new Subject<string>();
  protected readonly total = this.list.total;
  protected readonly count = computed(() => countText(this.total() ?? 0, 'design'));
  /** while something is looked for, all that is found stands in one row after the other */
  protected readonly latest = computed(() => (this.plain() ? this.list.designs().slice(0, IN_FRONT) : []));
  /** in one list, or tag by tag */
  protected readonly others = computed(() => {
    const designs = this.list.designs();
    let from = this.latest().length;
    if (this.list.groups().length === 0) return designs.length > from ? [{ title: null, items: designs.slice(from) }] : [];
    return this.list.groups().map(({ tag, count }) => {
      from += count;
      return { title: tag ?? 'without a tag', items: designs.slice(from - count, from) };
    });
  });
  /** the cups in front are there; all at once would hold the page up, so those behind come a moment later */
  protected readonly inFront = signal(false);
  /** as tall as the tallest cup among them needs it */
  protected readonly rowHeight = computed(() => {
    const heights = this.list
      .designs()
      .slice(this.latest().length)
      .map((one) => (one?.picture?.height ?? 0) * SCALE.behind);
    return Math.round(Math.min(TALLEST, Math.max(120, ...heights)) + ROOM);
  });
  protected readonly low = computed(() =>
    this.memory
      .shelf()
      .flatMap((item) => (item.kind === 'glitter' && item.left !== null ? [{ item, left: item.left }] : []))
      .sort((a, b) => a.left - b.left)
      .slice(0, 5)
      .map(({ item, left }) => ({ item, left: amountText(left, this.memory.units(), gramsPerMl(item.flake)) })),
  );
  protected readonly unreadable = computed(() => this.unreadableThings.rows().length);

  constructor() {
    this.list.show(inject(DestroyRef));
    effect(() => {
      const where = this.where();
      if (where !== 'archive' && where !== 'removed') return;
      untracked(() => {
        this.narrowing.set(true);
        this.list.look({ ...ALL_DESIGNS, where });
      });
    });
    effect((away) => {
      if (this.latest().length === 0) return;
      const shown = setTimeout(() => this.inFront.set(true));
      away(() => clearTimeout(shown));
    });
    this.unreadableThings.look();
    this.typed$.pipe(debounceTime(PAUSE), takeUntilDestroyed()).subscribe((search) => this.list.look({ search }));
    inject(DestroyRef).onDestroy(() => this.typed$.complete());
  }

  protected type(words: string): void {
    this.typed$.next(words.trim());
  }

  protected need({ first, last }: { first: number; last: number }): void {
    this.list.need(first + this.latest().length, last + this.latest().length);
  }

  /** How large a cup is drawn behind: at its scale, or smaller where it would stand out of its row. */
  protected behind({ picture }: DesignSummary): number {
    return picture ? Math.min(SCALE.behind, TALLEST / picture.height) : SCALE.behind;
  }

  protected async begin(): Promise<void> {
    const kept = await this.keptDesigns();
    this.open(kept.begin(this.memory.cups().at(0)?.cup));
  }

  /** A new design, with the lesson of a first cup beside it. */
  protected async learn(): Promise<void> {
    const kept = await this.keptDesigns();
    this.open(kept.begin(this.memory.cups().at(0)?.cup), (id) => this.lesson.begin(id));
  }

  protected async copy({ id }: DesignSummary): Promise<void> {
    const kept = await this.keptDesigns();
    this.open(kept.copy(id));
  }

  /** Opens what narrows the list; closed again, the list is whole again. */
  protected narrow(): void {
    this.narrowing.update((open) => !open);
    if (!this.narrowing()) this.list.look({ ...ALL_DESIGNS, search: this.wanted().search });
  }

  protected async tag(design: DesignSummary): Promise<void> {
    const [{ TagsDialog }, { MatDialog }] = await Promise.all([
      import('./tags-dialog/tags-dialog'),
      import('@angular/material/dialog'),
    ]);
    this.injector.get(MatDialog).open(TagsDialog, { width: '460px', data: design, ariaLabel: `Tags of ${design.name}` });
  }

  protected leftOf = ({ removedAt }: DesignSummary): string => (removedAt ? daysLeftText(removedAt, new Date()) : '');

  protected async bring(file: File): Promise<void> {
    const kept = await this.keptDesigns();
    const read = kept.read(await textOfFile(file));
    if (!read.ok) {
      this.faults.set(read.faults);
      return;
    }
    this.faults.set([]);
    kept.importFile(read.file).subscribe({
      next: ({ document }) => {
        this.memory.load();
        this.notices.say(`${document.name} is here, with the jars it needs.`);
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  private open(made: Observable<KeptDesign>, first: (id: string) => void = () => undefined): void {
    made.subscribe({
      next: ({ document }) => {
        first(document.id);
        void this.router.navigate(['/designs', document.id, 'cup']);
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  /** What a whole design is made of comes when the first one is asked for: a list of names and pictures does without. */
  private async keptDesigns(): Promise<KeptDesigns> {
    const { KeptDesigns } = await import('../../services/kept-designs');
    return this.injector.get(KeptDesigns);
  }
}
