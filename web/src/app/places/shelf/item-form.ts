import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import {
  faultsOf,
  finishes,
  glitterKinds,
  glueWayFacts,
  glueWays,
  shelfItemSchema,
  withCut,
  type Fault,
  type ShelfItem,
} from '@aurantia/core';
import { NumberField } from '../../parts/fields/number-field';
import { Notices } from '../../services/notices';
import { WorkshopMemory } from '../../services/workshop';

/** What is known of one jar. Each sound change is kept at once; a faulty one gets its sentence. */
@Component({
  selector: 'au-item-form',
  imports: [NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './item-form.html',
  styleUrl: './item-form.scss',
})
export class ItemForm {
  private readonly memory = inject(WorkshopMemory);
  private readonly notices = inject(Notices);
  readonly item = input.required<ShelfItem>();
  readonly isNew = input(false);
  readonly kept = output<ShelfItem>();
  readonly removed = output();

  protected readonly flakeKinds = glitterKinds.map((kind) => ({
    kind,
    name: { solid: 'opaque', tinted: 'see-through', opal: 'opal' }[kind],
  }));
  protected readonly finishes = finishes;
  protected readonly ways = glueWays.map((way) => ({ way, title: glueWayFacts[way].title }));
  protected readonly draft = linkedSignal(this.item);
  protected readonly faults = computed<readonly Fault[]>(() => {
    const read = shelfItemSchema.safeParse(this.draft());
    return read.success ? [] : faultsOf(read.error);
  });

  protected why(path: string): string | null {
    return this.faults().find((fault) => fault.path === path)?.sentence ?? null;
  }

  protected set(change: object): void {
    this.put({ ...this.draft(), ...change } as ShelfItem);
  }

  protected flake(change: object): void {
    const item = this.draft();
    if (item.kind === 'glitter') this.put({ ...item, flake: { ...item.flake, ...change } });
  }

  protected cut(value: number | null): void {
    const item = this.draft();
    if (item.kind === 'glitter') this.put(withCut(item, value ?? Number.NaN));
  }

  protected pair(field: 'ratio' | 'density' | 'open', at: 0 | 1, value: number | null): void {
    const now = (this.draft() as unknown as Record<string, [number, number] | null>)[field] ?? [0, 0];
    this.set({ [field]: at === 0 ? [value ?? Number.NaN, now[1]] : [now[0], value ?? Number.NaN] });
  }

  private put(item: ShelfItem): void {
    this.draft.set(item);
    if (this.faults().length > 0) return;
    this.memory
      .putItem(item)
      .subscribe({ next: (kept) => this.kept.emit(kept), error: (error: unknown) => this.notices.failed(error) });
  }
}
