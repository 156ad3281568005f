import { CdkVirtualScrollableElement } from '@angular/cdk/scrolling';
import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, signal } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import {
  colourOf,
  countedIn,
  cutRanges,
  factOf,
  foundFact,
  foundOnShelf,
  groupOf,
  startingItem,
  type FoundItem,
  type ShelfItem,
  type ShelfKind,
} from '@aurantia/core';
import { v7 } from 'uuid';
import { Notices } from '../../services/notices';
import { WorkshopMemory } from '../../services/workshop';
import { ColourDot } from '../fields/colour-dot';
import { Pick } from '../fields/pick';
import { SearchField } from '../fields/search-field';
import { MaterialGlyph } from '../glyphs/material-glyph';
import { Icon } from '../icons/icon';
import { LongList } from '../long-list/long-list';
import { TypicalOffer } from '../typical-offer/typical-offer';
import { BUTTONS } from '../buttons';

/** What a jar is wanted for. */
export interface JarWish {
  readonly kind: ShelfKind;
  /** ids that make no sense here: in the mix already */
  readonly without: readonly string[];
  /** ids used lately, the latest first; they stand in front */
  readonly lately: readonly string[];
  /** hex of a colour it might want to be near to, and whose that is; null for none */
  readonly near: string | null;
  readonly nearWhat: string;
}

const kindNames: Readonly<Record<ShelfKind, string>> = {
  glitter: 'a glitter',
  ink: 'an ink',
  paint: 'a paint',
  resin: 'a resin',
  glue: 'a glue',
  film: 'a film',
};
/** Finds one jar among any number of them: by typing, by nearness to a colour, by cut; those used lately first. */
@Component({
  selector: 'au-jar-finder',
  imports: [
    BUTTONS,
    CdkVirtualScrollableElement,
    ColourDot,
    Icon,
    LongList,
    MatDialogModule,
    MaterialGlyph,
    Pick,
    SearchField,
    TypicalOffer,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './jar-finder.html',
  styleUrl: './jar-finder.scss',
})
export class JarFinder {
  private readonly memory = inject(WorkshopMemory);
  private readonly notices = inject(Notices);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly ref = inject<MatDialogRef<JarFinder, ShelfItem>>(MatDialogRef);
  protected readonly wish = inject<JarWish>(MAT_DIALOG_DATA);
  protected readonly title = `Choose ${kindNames[this.wish.kind]}`;
  protected readonly coloured = this.wish.kind !== 'resin' && this.wish.kind !== 'glue';
  protected readonly cuts = cutRanges;
  protected readonly words = signal('');
  protected readonly colour = signal<string | null>(null);
  protected readonly cut = signal('');
  protected readonly adding = signal(false);

  private readonly offerable = computed(() =>
    this.memory.shelf().filter(({ id, kind }) => kind === this.wish.kind && !this.wish.without.includes(id)),
  );
  /** a kind there is nothing of is offered as typical ones */
  protected readonly offered = computed(() =>
    this.memory.shelf().some(({ kind }) => kind === this.wish.kind) ? [] : [this.wish.kind],
  );
  protected readonly sections = computed(() => {
    const range = cutRanges.find(({ value }) => value === this.cut())?.range ?? null;
    const search = { words: this.words(), colour: this.colour(), cut: range };
    const found = foundOnShelf(this.offerable(), search, factOf).map(rowOf);
    const plain = this.words().trim() === '' && this.colour() === null && range === null;
    const lately = plain ? this.wish.lately.flatMap((id) => found.find(({ item }) => item.id === id) ?? []) : [];
    const others = found.filter((one) => !lately.includes(one));
    return [
      ...(lately.length > 0 ? [{ title: 'Used lately', items: lately }] : []),
      ...(others.length > 0 ? [{ title: lately.length > 0 ? 'All others' : null, items: others }] : []),
    ];
  });

  protected take(item: ShelfItem): void {
    this.ref.close(item);
  }

  protected takeFirst(event: Event): void {
    // Without motion the focus is back on what opened this before the key is up, and would press it once more.
    event.preventDefault();
    const first = this.sections().at(0)?.items.at(0);
    if (first) this.take(first.item);
  }

  /** Down from the search into the list, and up and down within it. */
  protected key(event: KeyboardEvent): void {
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    const jars = [...this.host.nativeElement.querySelectorAll<HTMLElement>('.jar')];
    if (by === undefined || (event.target as HTMLElement).closest('mat-select')) return;
    event.preventDefault();
    const at = jars.indexOf(event.target as HTMLElement) + by;
    (jars.at(at) ?? jars.at(-1))?.focus();
  }

  /** With what is known so far; the rest is usual for its kind, until its label says otherwise. */
  protected add(): void {
    const begun = { ...startingItem(this.wish.kind, v7()), name: this.words().trim().slice(0, 80) };
    const colour = this.colour();
    const item =
      colour === null ? begun : 'flake' in begun ? { ...begun, flake: { ...begun.flake, colour } } : { ...begun, colour };
    this.adding.set(true);
    this.memory.putItem(item as ShelfItem).subscribe({
      next: (kept) => this.take(kept),
      error: (error: unknown) => {
        this.adding.set(false);
        this.notices.failed(error);
      },
    });
  }
}

const rowOf = (found: FoundItem) => ({
  item: found.item,
  group: groupOf(found.item),
  colour: colourOf(found.item),
  fact: foundFact(found),
  left: found.item.left === null ? '' : `${found.item.left} ${countedIn(found.item)}`,
});
