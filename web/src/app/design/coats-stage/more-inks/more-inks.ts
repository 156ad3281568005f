import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { inksOf, MOST_INKS, type CoatOf } from '@aurantia/core';
import { BUTTONS } from '../../../parts/buttons';
import { NumberField } from '../../../parts/fields/number-field';
import { JarField } from '../../../parts/jar-finder/jar-field';
import { WorkshopMemory } from '../../../services/workshop';

type Also = NonNullable<CoatOf<'ink'>['also']>;

/** % of the resin that another ink begins with: little, so that what is there is not drowned. */
const LITTLE = 0.5;

/** Further inks in the pot of a tinted coat, each with its load. */
@Component({
  selector: 'au-more-inks',
  imports: [BUTTONS, JarField, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './more-inks.html',
  styleUrl: './more-inks.scss',
})
export class MoreInks {
  private readonly memory = inject(WorkshopMemory);
  readonly coat = input.required<CoatOf<'ink'>>();
  readonly refused = input<string | null>(null);
  /** undefined once none is left */
  readonly alsoChange = output<Also | undefined>();
  protected readonly also = computed<Also>(() => this.coat().also ?? []);
  /** an ink of the shelf that isn't in the pot yet; null where there is none, or no room for it */
  private readonly next = computed(() => {
    const taken = inksOf(this.coat()).map(({ ink }) => ink);
    if (taken.length >= MOST_INKS) return null;
    return this.memory.shelf().find(({ id, kind }) => kind === 'ink' && !taken.includes(id)) ?? null;
  });
  protected readonly more = computed(() => this.next() !== null);

  protected add(): void {
    const next = this.next();
    if (next) this.alsoChange.emit([...this.also(), { ink: next.id, load: LITTLE }]);
  }

  protected set(at: number, change: { readonly ink?: string; readonly load?: number | null }): void {
    this.alsoChange.emit(this.also().map((one, i) => (i === at ? ({ ...one, ...change } as Also[number]) : one)));
  }

  protected remove(at: number): void {
    const left = this.also().filter((_, i) => i !== at);
    this.alsoChange.emit(left.length > 0 ? left : undefined);
  }
}
