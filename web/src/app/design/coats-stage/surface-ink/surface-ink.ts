import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { furtherDrops, type CoatOf, type DroppedCoat } from '@aurantia/core';
import { BUTTONS } from '../../../parts/buttons';
import { Chips, type Chip } from '../../../parts/chips/chips';
import { NumberField } from '../../../parts/fields/number-field';
import { JarField } from '../../../parts/jar-finder/jar-field';
import { WorkshopMemory } from '../../../services/workshop';

type SurfaceCoat = CoatOf<'grain' | 'floated' | 'crackle' | 'dab'>;
type Further = NonNullable<DroppedCoat['also']>[number];

const alongNames = { up: 'from foot to rim', round: 'round the cup' } as const;
const strokeNames = { long: 'long strokes', short: 'short strokes', both: 'long and short' } as const;

const chipsOf = <Id extends string>(names: Readonly<Record<Id, string>>, now: Id): readonly Chip<Id>[] =>
  (Object.keys(names) as Id[]).map((id) => ({ id, name: names[id], on: id === now }));

/** Ink or pearl laid in a pattern: how it is drawn, further colours with their drops, and the same by another hand. */
@Component({
  selector: 'au-surface-ink',
  imports: [BUTTONS, Chips, JarField, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './surface-ink.html',
  styleUrl: '../more-inks/more-inks.scss',
})
export class SurfaceInk {
  private readonly memory = inject(WorkshopMemory);
  readonly coat = input.required<SurfaceCoat>();
  readonly refused = input<string | null>(null);
  /** fields set otherwise, and which of them says what is wrong with it */
  readonly coatChange = output<{ readonly change: Readonly<Record<string, unknown>>; readonly at: string }>();

  protected readonly ways = computed(() => {
    const coat = this.coat();
    return coat.kind === 'grain' ? { along: chipsOf(alongNames, coat.along), strokes: chipsOf(strokeNames, coat.strokes) } : null;
  });
  private readonly dropped = computed((): DroppedCoat | null => {
    const coat = this.coat();
    return coat.kind === 'grain' || coat.kind === 'floated' ? coat : null;
  });
  protected readonly also = computed<readonly Further[]>(() => this.dropped()?.also ?? []);
  protected readonly next = computed(() => {
    const coat = this.dropped();
    return coat && furtherDrops(coat, this.memory.shelf());
  });
  protected readonly another = computed(() =>
    this.coat().kind === 'floated' ? 'Another bowl of water' : 'Laid by another hand',
  );

  protected set(change: Readonly<Record<string, unknown>>): void {
    this.coatChange.emit({ change, at: Object.keys(change)[0] });
  }

  protected change(at: number, change: { readonly ink?: string; readonly drops?: number | null }): void {
    this.set({ also: this.also().map((one, i) => (i === at ? { ...one, ...change } : one)) });
  }

  protected remove(at: number): void {
    const left = this.also().filter((_, i) => i !== at);
    this.set({ also: left.length > 0 ? left : undefined });
  }
}
