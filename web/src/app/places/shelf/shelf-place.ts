import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal, input } from '@angular/core';
import { MatMenuModule } from '@angular/material/menu';
import {
  aboutText,
  colourOf,
  facePerMl,
  flakesPerMl,
  glueWayFacts,
  gramsPerMl,
  startingItem,
  type ItemOf,
  type ShelfItem,
  type ShelfKind,
} from '@aurantia/core';
import { v7 } from 'uuid';
import { MaterialGlyph } from '../../parts/glyphs/material-glyph';
import { WorkshopMemory } from '../../services/workshop';
import { ItemForm } from './item-form';

const groups: readonly { kind: ShelfKind; title: string; one: string }[] = [
  { kind: 'glitter', title: 'Glitters', one: 'glitter' },
  { kind: 'ink', title: 'Inks', one: 'ink' },
  { kind: 'paint', title: 'Paints', one: 'paint' },
  { kind: 'resin', title: 'Resins', one: 'resin' },
  { kind: 'glue', title: 'Glues', one: 'glue' },
];

/** What stands on the shelf, and what is known of each jar. */
@Component({
  selector: 'au-shelf-place',
  imports: [MatMenuModule, MaterialGlyph, ItemForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shelf-place.html',
  styleUrl: './shelf-place.scss',
})
export class ShelfPlace {
  private readonly memory = inject(WorkshopMemory);
  /** from the address: which item to open */
  readonly item = input<string>();

  protected readonly kinds = groups;
  protected readonly search = signal('');
  protected readonly fresh = signal<ShelfItem | null>(null);
  protected readonly chosen = linkedSignal<string | null>(() => this.item() ?? null);
  protected readonly loaded = this.memory.loaded;
  protected readonly groups = computed(() => {
    const wanted = this.search().trim().toLowerCase();
    return groups
      .map((group) => ({
        ...group,
        items: this.memory
          .shelf()
          .filter(
            (item) =>
              item.kind === group.kind &&
              (wanted === '' || `${item.name} ${item.note} ${factOf(item)}`.toLowerCase().includes(wanted)),
          )
          .map((item) => ({ item, colour: colourOf(item), fact: factOf(item) })),
      }))
      .filter((group) => group.items.length > 0);
  });
  protected readonly open = computed(() => this.fresh() ?? this.memory.shelf().find(({ id }) => id === this.chosen()) ?? null);
  protected readonly derived = computed(() => {
    const item = this.open();
    return item?.kind === 'glitter' ? derivedOf(item) : null;
  });

  protected pick(item: ShelfItem): void {
    this.fresh.set(null);
    this.chosen.set(item.id);
  }

  protected add(kind: ShelfKind): void {
    this.fresh.set(startingItem(kind, v7()));
  }

  protected kept(item: ShelfItem): void {
    this.fresh.set(null);
    this.chosen.set(item.id);
  }

  protected remove(item: ShelfItem): void {
    if (this.fresh()) this.fresh.set(null);
    else this.memory.removeItem(item);
    this.chosen.set(null);
  }
}

function factOf(item: ShelfItem): string {
  switch (item.kind) {
    case 'glitter':
      return `${item.flake.cut} mm, ${{ solid: 'opaque', tinted: 'see-through', opal: 'opal' }[item.flake.kind]}, ${item.finish}`;
    case 'ink':
      return item.type;
    case 'paint':
      return `dry in ${item.dryMinutes} min`;
    case 'resin':
      return `${item.ratio.join(':')} by volume, pot life ${item.potLife} min`;
    case 'glue':
      return `${glueWayFacts[item.way].title.toLowerCase()}, holds ${item.hold} deep`;
  }
}

function derivedOf({ flake }: ItemOf<'glitter'>): readonly { figure: string; label: string }[] {
  return [
    { figure: `${facePerMl(flake).toFixed(0)} cm²`, label: 'of flake face in a ml' },
    { figure: aboutText(flakesPerMl(flake)), label: 'flakes in a ml, about' },
    { figure: `${gramsPerMl(flake).toFixed(2)} g`, label: 'a ml weighs as poured' },
  ];
}
