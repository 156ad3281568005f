import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal, input } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { ScrollingModule } from '@angular/cdk/scrolling';
import { MatDialog } from '@angular/material/dialog';
import { MENUS } from '../../parts/menus';
import {
  cutRanges,
  colourOf,
  countedIn,
  derivedOf,
  factOf,
  foundFact,
  foundOnShelf,
  groupOf,
  insteadOf,
  restsOn,
  startingItem,
  type ShelfItem,
  type ShelfGroup,
} from '@aurantia/core';
import { readShelfTable, shelfCsv, TableError, type ShelfTable } from '@aurantia/core/shelf-table';
import { RouterLink } from '@angular/router';
import { v7 } from 'uuid';
import { MaterialGlyph } from '../../parts/glyphs/material-glyph';
import { Pick } from '../../parts/fields/pick';
import { LongList } from '../../parts/long-list/long-list';
import { MakesList } from '../../services/makes-list';
import { textOfFile } from '../../services/file-text';
import { saveText } from '../../services/save-file';
import { WorkshopMemory } from '../../services/workshop';
import { ItemStock } from './item-stock/item-stock';
import { TableImport } from './table-import/table-import';
import { ItemForm } from './item-form';
import { ColourDot } from '../../parts/fields/colour-dot';
import { SearchField } from '../../parts/fields/search-field';
import { FileField } from '../../parts/fields/file-field';
import { Icon } from '../../parts/icons/icon';
import { TypicalOffer } from '../../parts/typical-offer/typical-offer';
import { Unfetched } from '../../parts/unfetched/unfetched';
import { Waiting } from '../../parts/waiting';
import { BUTTONS } from '../../parts/buttons';

const groups: readonly { kind: ShelfGroup; title: string; one: string }[] = [
  { kind: 'glitter', title: 'Glitters', one: 'glitter' },
  { kind: 'ink', title: 'Inks', one: 'ink' },
  { kind: 'pearl', title: 'Pearls', one: 'pearl' },
  { kind: 'paint', title: 'Paints', one: 'paint' },
  { kind: 'resin', title: 'Resins', one: 'resin' },
  { kind: 'glue', title: 'Glues', one: 'glue' },
  { kind: 'film', title: 'Films', one: 'film' },
];

/** So many items are shown by colour. */
const NEAREST = 12;

/** What stands on the shelf, and what is known of each jar. */
@Component({
  selector: 'au-shelf-place',
  imports: [
    BUTTONS,
    Waiting,
    ColourDot,
    LongList,
    MENUS,
    RouterLink,
    ScrollingModule,
    MaterialGlyph,
    ItemForm,
    ItemStock,
    Pick,
    TableImport,
    SearchField,
    FileField,
    Icon,
    TypicalOffer,
    Unfetched,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shelf-place.html',
  styleUrl: './shelf-place.scss',
})
export class ShelfPlace {
  private readonly memory = inject(WorkshopMemory);
  private readonly dialogs = inject(MatDialog);
  /** from the address: which item to open */
  readonly item = input<string>();

  protected readonly kinds = groups;
  protected readonly search = signal('');
  /** what is being put on the shelf; of a kind that the address may name */
  readonly kind = input<string>();
  protected readonly fresh = linkedSignal<ShelfItem | null>(() => {
    const kind = groups.find((group) => group.kind === this.kind())?.kind;
    return kind ? startingItem(kind, v7()) : null;
  });
  protected readonly chosen = linkedSignal<string | null>(() => this.item() ?? null);
  protected readonly loaded = this.memory.loaded;
  protected readonly colour = signal<string | null>(null);
  protected readonly cut = signal('');
  protected readonly cuts = cutRanges;
  private readonly removed = signal<ShelfItem | null>(null);
  /** jars to use in place of the one just taken off, while it is off */
  protected readonly instead = computed(() => {
    const gone = this.removed();
    if (gone?.kind !== 'glitter' || this.memory.shelf().some(({ id }) => id === gone.id)) return null;
    return { gone, jars: insteadOf(gone, this.memory.shelf()) };
  });
  protected readonly table = signal<{ readonly table: ShelfTable; readonly file: string } | null>(null);
  protected readonly tableFault = signal<string | null>(null);
  private readonly found = computed(() =>
    foundOnShelf(
      this.memory.shelf(),
      { words: this.search(), colour: this.colour(), cut: cutRanges.find(({ value }) => value === this.cut())?.range ?? null },
      factOf,
    ).map((found) => ({
      item: found.item,
      group: groupOf(found.item),
      counted: countedIn(found.item),
      colour: colourOf(found.item),
      fact: foundFact(found),
    })),
  );
  protected readonly looking = computed(() => this.search().trim() !== '' || this.colour() !== null || this.cut() !== '');
  protected readonly groups = computed(() =>
    this.colour() !== null
      ? [{ kind: 'near', title: 'Nearest in colour', items: this.found().slice(0, NEAREST) }].filter(
          ({ items }) => items.length > 0,
        )
      : groups
          .map((group) => ({ ...group, items: this.found().filter((one) => one.group === group.kind) }))
          .filter((group) => group.items.length > 0),
  );
  protected readonly open = computed(() => this.fresh() ?? this.memory.shelf().find(({ id }) => id === this.chosen()) ?? null);
  protected readonly derived = computed(() => {
    const item = this.open();
    return item?.kind === 'glitter' ? { figures: derivedOf(item), says: restsOn(item) } : null;
  });

  constructor() {
    // A shelf that stays open beside the bench's tablet goes down with each coat.
    inject(MakesList).changesSeen().pipe(takeUntilDestroyed()).subscribe();
  }

  protected async openNeeds(): Promise<void> {
    const { NeedsDialog } = await import('../needs-dialog/needs-dialog');
    this.dialogs.open(NeedsDialog, { width: '760px', maxWidth: '96vw', ariaLabel: 'What the bench will take' });
  }

  protected save(): void {
    saveText('shelf.csv', shelfCsv(this.memory.shelf()), 'text/csv');
  }

  protected async bring(file: File): Promise<void> {
    try {
      this.table.set({ table: readShelfTable(await textOfFile(file)), file: file.name });
      this.tableFault.set(null);
    } catch (error) {
      if (!(error instanceof TableError)) throw error;
      this.table.set(null);
      this.tableFault.set(error.message);
    }
  }

  protected pick(item: ShelfItem): void {
    this.removed.set(null);
    this.fresh.set(null);
    this.chosen.set(item.id);
  }

  protected add(kind: ShelfGroup): void {
    this.fresh.set(startingItem(kind, v7()));
  }

  protected kept(item: ShelfItem): void {
    this.fresh.set(null);
    this.chosen.set(item.id);
  }

  protected putBack(item: ShelfItem): void {
    this.memory.putItem(item).subscribe();
  }

  protected remove(item: ShelfItem): void {
    if (this.fresh()) this.fresh.set(null);
    else {
      this.memory.removeItem(item);
      this.removed.set(item);
    }
    this.chosen.set(null);
  }
}
