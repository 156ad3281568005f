import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import {
  countedIn,
  faultsOf,
  filmTypes,
  measuredBy,
  finishes,
  glitterKinds,
  glueWayFacts,
  glueWays,
  changedInk,
  hasSolvent,
  inkBases,
  inkSorts,
  inkSortNames,
  sortOf,
  withInkSort,
  movementSchema,
  shelfItemSchema,
  typedByHand,
  withCut,
  type Fault,
  type ItemOf,
  type ShelfItem,
  asOwn,
  namesakesOf,
} from '@aurantia/core';
import { inkOnCard, inkSureWords, swatchWords } from '@aurantia/core/ink-dab';
import { ColourField } from '../../parts/fields/colour-field';
import { NumberField } from '../../parts/fields/number-field';
import { Pick, type Option } from '../../parts/fields/pick';
import { PhotoColour } from '../../parts/photo-colour/photo-colour';
import { WorkshopMemory } from '../../services/workshop';
import { MixedCuts } from './mixed-cuts';
import { figuresOf, withFigure } from './item-figures';
import { TextField } from '../../parts/fields/text-field';
import { DateField } from '../../parts/fields/date-field';
import { BUTTONS } from '../../parts/buttons';
import { Tick } from '../../parts/fields/tick';
import { Unfetched } from '../../parts/unfetched/unfetched';
import { InkDabForm } from './ink-dab/ink-dab';

const same = (values: readonly string[]): readonly Option[] => values.map((value) => ({ value, name: value }));

/** What was typed over an item, field by field. */
const typedOver = (item: ShelfItem, typed: ShelfItem): object => {
  const before = new Map<string, unknown>(Object.entries(item));
  return Object.fromEntries(Object.entries(typed).filter(([field, value]) => before.get(field) !== value));
};

/** What is known of one jar. Each sound change is kept at once; a faulty one gets its sentence. */
@Component({
  selector: 'au-item-form',
  imports: [BUTTONS, ColourField, MixedCuts, NumberField, PhotoColour, Pick, TextField, DateField, Tick, Unfetched, InkDabForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './item-form.html',
  styleUrl: './item-form.scss',
})
export class ItemForm {
  private readonly memory = inject(WorkshopMemory);
  readonly item = input.required<ShelfItem>();
  readonly isNew = input(false);
  readonly kept = output<ShelfItem>();
  readonly removed = output();

  protected readonly flakeKinds = glitterKinds.map((value) => ({
    value,
    name: { solid: 'opaque', tinted: 'see-through', opal: 'opal' }[value],
  }));
  protected readonly finishes = same(finishes);
  protected readonly bases = [
    { value: 'typical', name: 'usual' },
    { value: 'label', name: 'its label' },
    { value: 'weighed', name: 'a weighed spoon' },
  ];
  protected readonly photo = signal(false);
  protected readonly colourful = computed(() => !['resin', 'glue'].includes(this.draft().kind));
  protected readonly inkSorts = same(inkSortNames);
  protected readonly inkBases = [
    { value: 'typical', name: 'usual' },
    { value: 'label', name: 'its label' },
    { value: 'by eye', name: 'a dab, by eye' },
    { value: 'dab', name: 'a dab in a photo' },
  ] satisfies readonly { value: (typeof inkBases)[number]; name: string }[];
  protected readonly sortOf = sortOf;
  protected readonly hasSolvent = hasSolvent;
  protected readonly dabbing = signal(false);
  protected readonly sortSays = computed(() => {
    const item = this.draft();
    return item.kind === 'ink' ? inkSorts[sortOf(item)].says : '';
  });
  protected readonly swatch = computed(() => {
    const item = this.draft();
    if (item.kind !== 'ink' || this.faults().length > 0) return null;
    return { ...inkOnCard(item, this.memory.settings().gloss), words: swatchWords(item), sure: inkSureWords(item) };
  });
  protected readonly filmTypes = same(filmTypes);
  protected readonly measuredBy = same(measuredBy);
  protected readonly counted = computed(() => countedIn(this.draft()));
  protected readonly cutsFault = computed(
    () => this.faults().find(({ path }) => path.startsWith('flake.mixed'))?.sentence ?? null,
  );
  protected readonly ways = glueWays.map((value) => ({ value, name: glueWayFacts[value].title }));
  /** as typed; what is faulty stays typed while the jar's count moves, or another window says something else of it */
  protected readonly draft = linkedSignal<ShelfItem, ShelfItem>({
    source: this.item,
    computation: (item, before) =>
      before?.source.id === item.id && !shelfItemSchema.safeParse(before.value).success
        ? ({ ...item, ...typedOver(before.source, before.value) } as ShelfItem)
        : item,
  });
  /** why the count that was typed can't be */
  protected readonly miscounted = signal<string | null>(null);
  protected readonly namesakes = computed(() => namesakesOf(this.draft(), this.memory.shelf()).length);
  protected readonly figures = computed(() => figuresOf(this.draft()));
  protected readonly faults = computed<readonly Fault[]>(() => {
    const read = shelfItemSchema.safeParse(this.draft());
    return read.success ? [] : faultsOf(read.error);
  });

  protected why(path: string): string | null {
    return this.faults().find((fault) => fault.path === path)?.sentence ?? null;
  }

  protected set(change: object): void {
    const item = this.draft();
    this.put(item.kind === 'ink' ? changedInk(item, change) : ({ ...item, ...change } as ShelfItem));
  }

  protected resort(name: string): void {
    const item = this.draft();
    const sort = inkSortNames.find((one) => one === name);
    if (item.kind === 'ink' && sort) this.put(withInkSort(item, sort));
  }

  protected readOff(ink: ItemOf<'ink'>): void {
    this.put(ink);
    this.dabbing.set(false);
  }

  protected flake(change: object): void {
    const item = this.draft();
    if (item.kind === 'glitter') this.put({ ...item, flake: { ...item.flake, ...change } });
  }

  protected recolour(colour: string): void {
    if (this.draft().kind === 'glitter') this.flake({ colour });
    else this.set({ colour });
  }

  protected retype(path: string, typed: number | null): void {
    const item = this.draft();
    const value = typed ?? Number.NaN;
    // With another cut come its usual thickness and share, until the label says otherwise.
    if (item.kind === 'ink') this.put(typedByHand(changedInk(item, { [path]: value }), path));
    else
      this.put(
        item.kind === 'glitter' && path === 'flake.cut' ? withCut(item, value) : typedByHand(withFigure(item, path, value), path),
      );
  }

  /** A jar that is on the shelf is counted anew; one that isn't yet begins with what is typed. */
  protected count(left: number | null): void {
    const read = movementSchema.safeParse({ why: 'counted anew', amount: left });
    this.miscounted.set(read.success ? null : (faultsOf(read.error)[0]?.sentence ?? null));
    if (!read.success) return;
    if (this.isNew()) this.set({ left });
    else this.memory.moveItem(this.item().id, read.data).subscribe();
  }

  /** What was looked at and set is the maker's own. */
  private put(changed: ShelfItem): void {
    const item = asOwn(changed);
    this.draft.set(item);
    if (this.faults().length > 0) return;
    this.memory.putItem(item).subscribe((kept) => this.kept.emit(kept));
  }
}
