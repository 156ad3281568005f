import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import { colourOf, countText, factOf } from '@aurantia/core';
import { guessedMapping, itemsOfTable, shelfColumns, type ShelfTable } from '@aurantia/core/shelf-table';
import { v7 } from 'uuid';
import { MaterialGlyph } from '../../../parts/glyphs/material-glyph';
import { Notices } from '../../../services/notices';
import { WorkshopMemory } from '../../../services/workshop';
import { Tick } from '../../../parts/fields/tick';
import { Pick } from '../../../parts/fields/pick';
import { BUTTONS } from '../../../parts/buttons';

/** How many items and faults are shown before they come in. */
const SHOWN = { items: 8, faults: 6 };

/** A table from a file: what each column means, what would come in, and what can't. Nothing is kept before it is agreed to. */
@Component({
  selector: 'au-table-import',
  imports: [BUTTONS, MaterialGlyph, Tick, Pick],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './table-import.html',
  styleUrl: './table-import.scss',
})
export class TableImport {
  private readonly memory = inject(WorkshopMemory);
  private readonly notices = inject(Notices);
  readonly table = input.required<ShelfTable>();
  readonly file = input.required<string>();
  readonly closed = output();

  protected readonly meanings = [
    { value: '', name: 'left out' },
    ...shelfColumns.map(({ name, words }) => ({ value: name as string, name: words })),
  ];
  protected readonly mapping = linkedSignal(() => guessedMapping(this.table().headings));
  /** items of a name that is here already are replaced, else left as they are */
  protected readonly replacing = signal(true);
  protected readonly busy = signal(false);
  protected readonly headings = computed(() =>
    this.table().headings.map((heading, at) => ({
      heading,
      at,
      means: this.mapping()[at],
      sample: this.table()
        .rows.map((row) => row[at])
        .filter((cell) => cell !== '')
        .slice(0, 2)
        .join(', '),
    })),
  );
  protected readonly read = computed(() => itemsOfTable(this.table(), this.mapping(), this.memory.shelf(), v7));
  protected readonly coming = computed(() => this.read().items.filter(({ known }) => known === null || this.replacing()));
  protected readonly known = computed(() => this.read().items.filter(({ known }) => known !== null).length);
  protected readonly knownText = computed(() => countText(this.known(), 'item'));
  protected readonly preview = computed(() =>
    this.coming()
      .slice(0, SHOWN.items)
      .map(({ line, item, known }) => ({ line, item, known, colour: colourOf(item), fact: factOf(item) })),
  );
  protected readonly faults = computed(() => this.read().faults.slice(0, SHOWN.faults));
  protected readonly moreFaults = computed(() => this.read().faults.length - this.faults().length);
  protected readonly moreItems = computed(() => this.coming().length - this.preview().length);
  protected readonly bringText = computed(() => `Bring in ${countText(this.coming().length, 'item')}`);

  protected map(at: number, means: string): void {
    // A meaning given to one column is taken from the other that had it.
    this.mapping.update((mapping) =>
      mapping.map((before, i) => (i === at ? means || null : before === means && means !== '' ? null : before)),
    );
  }

  protected bring(): void {
    this.busy.set(true);
    const items = this.coming().map(({ item }) => item);
    this.memory.putItems(items).subscribe({
      next: () => {
        this.notices.say(`${countText(items.length, 'item')} from ${this.file()} on the shelf.`);
        this.closed.emit();
      },
      error: (error: unknown) => {
        this.busy.set(false);
        this.notices.failed(error);
      },
    });
  }
}
