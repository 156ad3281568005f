import { CdkDragDrop, DragDropModule } from '@angular/cdk/drag-drop';
import { LiveAnnouncer } from '@angular/cdk/a11y';
import {
  ChangeDetectionStrategy,
  ChangeDetectorRef,
  Component,
  computed,
  ElementRef,
  inject,
  Injector,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import {
  coatKinds,
  startingCoat,
  withCoat,
  withCoatChanged,
  withCoatMoved,
  withCoatTwice,
  withoutCoat,
  type Coat,
  type CoatId,
  type CoatKindName,
  lackingText,
  lackingKinds,
  placeForCoat,
  withSchools,
} from '@aurantia/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { finalize, switchMap } from 'rxjs';
import { v7 } from 'uuid';
import { MinutesPipe } from '../../parts/fields/unit-pipes';
import { onceItIsQuiet } from '../../once-it-is-quiet';
import { Notices } from '../../services/notices';
import { SuggestedCoats } from '../../services/suggested-coats';
import { WorkshopMemory } from '../../services/workshop';
import { FindingNote } from '../finding-note/finding-note';
import { OpenDesign } from '../open-design';
import { DesignSession } from '../session';
import { CoatAmounts } from '../coat-amounts/coat-amounts';
import { AddCoat } from './add-coat/add-coat';
import { ByClock } from './by-clock/by-clock';
import { CoatForm } from './coat-form';
import { AsItGrows } from './as-it-grows/as-it-grows';
import { CutThrough } from './cut-through/cut-through';
import { InkDepthPanel } from './ink-depth/ink-depth';
import { StringFlowPanel } from './strings/string-flow';
import { Suggestions } from './suggestions/suggestions';
import { Icon } from '../../parts/icons/icon';
import { TypicalOffer } from '../../parts/typical-offer/typical-offer';
import { PANELS } from '../../parts/panels';
import { BUTTONS } from '../../parts/buttons';
import { TABS } from '../../parts/tabs/tabs';
import { Unfetched } from '../../parts/unfetched/unfetched';
import type { DesignWays } from '../../places/schools-dialog/schools-dialog';

type View = 'order' | 'clock' | 'cut' | 'growth';

/** The coats in order: dragged, moved by keys, opened to be set; each says what it needs and waits for. */
@Component({
  selector: 'au-coats-stage',
  imports: [
    AddCoat,
    AsItGrows,
    BUTTONS,
    ByClock,
    CutThrough,
    PANELS,
    TABS,
    DragDropModule,
    CoatForm,
    CoatAmounts,
    FindingNote,
    MinutesPipe,
    Icon,
    InkDepthPanel,
    StringFlowPanel,
    Suggestions,
    TypicalOffer,
    Unfetched,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './coats-stage.html',
  styleUrl: './coats-stage.scss',
})
export class CoatsStage {
  private readonly session = inject(DesignSession);
  private readonly memory = inject(WorkshopMemory);
  private readonly changes = inject(ChangeDetectorRef);
  private readonly announcer = inject(LiveAnnouncer);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly shared = inject(OpenDesign);
  protected readonly design = this.shared.design;
  protected readonly plan = this.shared.plan;

  private readonly injector = inject(Injector);
  private readonly suggested = inject(SuggestedCoats);
  private readonly notices = inject(Notices);

  constructor() {
    // A coat is opened next: its form comes ahead, so that it is there while the program isn’t. What can’t come now is
    // fetched, or missed and said so, when it is opened.
    const ahead = onceItIsQuiet.pipe(
      switchMap(() => import('./coat-form')),
      takeUntilDestroyed(),
    );
    ahead.subscribe({ error: () => undefined });
  }

  protected readonly views = [
    { tab: 'order', name: 'In order' },
    { tab: 'clock', name: 'By the clock' },
    { tab: 'cut', name: 'Cut through' },
    { tab: 'growth', name: 'As it grows' },
  ] as const satisfies readonly { tab: View; name: string }[];
  /** from the address: how they are shown */
  readonly shown = input<string>();
  protected readonly view = linkedSignal<View>(() => this.views.find(({ tab }) => tab === this.shown())?.tab ?? 'order');
  protected readonly suggesting = signal(false);
  protected readonly thinking = signal(false);
  protected readonly open = this.shared.openCoat;
  protected readonly refused = signal<string | null>(null);
  protected readonly rows = computed(() =>
    this.design().coats.map((coat, index) => ({
      coat,
      index,
      planned: this.plan().coats[index],
      explains: coatKinds[coat.kind].explains,
      findings: this.plan().findings.filter((finding) => finding.coat === coat.id),
      colours: [...new Set(this.plan().places.map(({ id }) => this.plan().coats[index].seen[id]))],
    })),
  );
  protected readonly lacking = computed(() => (this.memory.loaded() ? lackingKinds(this.memory.shelf()) : []));
  protected readonly general = computed(() =>
    this.plan().findings.filter((finding) => finding.coat === null && finding.area === null),
  );

  protected add(kind: CoatKindName): void {
    const id = v7() as CoatId;
    const { session, memory } = this;
    const lacking = lackingText(kind, this.design(), memory.workshop());
    if (lacking) {
      this.refused.set(lacking);
      return;
    }
    this.view.set('order');
    this.refused.set(
      session.change((design) =>
        withCoat(design, startingCoat(kind, design, memory.workshop(), id), placeForCoat(kind, design, this.open())),
      ),
    );
    if (this.refused()) return;
    this.open.set(id);
    this.changes.detectChanges();
    this.host.nativeElement.querySelector<HTMLElement>(`[data-coat="${id}"]`)?.scrollIntoView({ block: 'center' });
  }

  protected suggest(): void {
    this.thinking.set(true);
    this.suggested
      .whole(this.design())
      .pipe(finalize(() => this.thinking.set(false)))
      .subscribe({
        next: ({ coats }) => {
          // A coat that was laid by hand meanwhile stays; what a suggestion would do otherwise is told beside it.
          if (this.design().coats.length > 0) this.suggesting.set(true);
          else this.refused.set(this.session.change((design) => ({ ...design, coats })));
        },
        error: (error: unknown) => this.notices.failed(error),
      });
  }

  /** Where makers disagree, for this design alone. */
  protected async openWays(): Promise<void> {
    const [{ MatDialog }, { SchoolsDialog }] = await Promise.all([
      import('@angular/material/dialog'),
      import('../../places/schools-dialog/schools-dialog'),
    ]);
    const data: DesignWays = {
      own: computed(() => this.design().schools ?? {}),
      change: (own) => this.session.change((design) => withSchools(design, own)),
    };
    this.injector
      .get(MatDialog)
      .open(SchoolsDialog, { width: '680px', maxWidth: '96vw', data, ariaLabel: 'Ways of this design' });
  }

  protected change(coat: Coat): void {
    this.refused.set(this.session.change((design) => withCoatChanged(design, coat.id, () => coat)));
  }

  protected remove(coat: Coat): void {
    this.session.change((design) => withoutCoat(design, coat.id));
  }

  protected repeat(coat: Coat): void {
    this.session.change((design) => withCoatTwice(design, coat.id, v7() as CoatId));
  }

  protected dropped({ previousIndex, currentIndex }: CdkDragDrop<unknown>): void {
    this.session.change((design) => withCoatMoved(design, previousIndex, currentIndex));
  }

  protected key(event: KeyboardEvent, index: number): void {
    const by = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (!event.altKey || by === undefined) return;
    event.preventDefault();
    this.move(index, by);
  }

  protected move(index: number, by: number): void {
    const to = index + by;
    const { coats } = this.design();
    if (to < 0 || to >= coats.length) return;
    const { id } = coats[index];
    this.session.change((design) => withCoatMoved(design, index, to));
    void this.announcer.announce(`${this.plan().coats[to].title} is now coat ${to + 1} of ${coats.length}.`);
    // The row is laid out anew and the focus goes with it, before the next key comes: one between would be lost.
    this.changes.detectChanges();
    this.host.nativeElement.querySelector<HTMLElement>(`[data-coat="${id}"]`)?.focus();
  }

  /** A panel that is taken out says so too; the one opened meanwhile stays. */
  protected closed(id: string): void {
    this.open.update((open) => (open === id ? null : open));
  }
}
