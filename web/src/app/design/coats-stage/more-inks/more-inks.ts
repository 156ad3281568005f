import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { furtherInk, type FurtherInk, type InkedCoat } from '@aurantia/core';
import { BUTTONS } from '../../../parts/buttons';
import { NumberField } from '../../../parts/fields/number-field';
import { JarField } from '../../../parts/jar-finder/jar-field';
import { WorkshopMemory } from '../../../services/workshop';

/** Further inks of a coat, each with its load: in the same pot, or of strings each in a pot of its own. */
@Component({
  selector: 'au-more-inks',
  imports: [BUTTONS, JarField, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './more-inks.html',
  styleUrl: './more-inks.scss',
})
export class MoreInks {
  private readonly memory = inject(WorkshopMemory);
  readonly coat = input.required<InkedCoat>();
  readonly refused = input<string | null>(null);
  /** undefined once none is left */
  readonly alsoChange = output<readonly FurtherInk[] | undefined>();
  protected readonly also = computed<readonly FurtherInk[]>(() => this.coat().also ?? []);
  protected readonly pots = computed(() => this.coat().kind === 'strings');
  /** its load changes on the way up: each ink has two */
  protected readonly graded = computed(() => {
    const coat = this.coat();
    return coat.kind === 'ink' && coat.pots !== undefined;
  });
  protected readonly next = computed(() => furtherInk(this.coat(), this.memory.shelf()));

  protected add(next: FurtherInk): void {
    this.alsoChange.emit([...this.also(), next]);
  }

  protected upperOf(one: FurtherInk): number {
    return ('upper' in one ? one.upper : undefined) ?? one.load;
  }

  protected set(
    at: number,
    change: { readonly ink?: string; readonly load?: number | null; readonly upper?: number | null },
  ): void {
    this.alsoChange.emit(this.also().map((one, i) => (i === at ? ({ ...one, ...change } as FurtherInk) : one)));
  }

  protected remove(at: number): void {
    const left = this.also().filter((_, i) => i !== at);
    this.alsoChange.emit(left.length > 0 ? left : undefined);
  }
}
