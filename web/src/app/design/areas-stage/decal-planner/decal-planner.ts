import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import {
  coatedHeight,
  decalFit,
  startingCoat,
  withDecal,
  type CoatId,
  type CoatOf,
  type Decal,
  type Design,
} from '@aurantia/core';
import { decalTemplate } from '@aurantia/core/templates';
import { v7 } from 'uuid';
import { NumberField } from '../../../parts/fields/number-field';
import { LengthPipe } from '../../../parts/fields/unit-pipes';
import { WorkshopMemory } from '../../../services/workshop';
import { DesignSession } from '../../session';
import { SheetDrawing } from '../sheet-drawing';
import { BUTTONS } from '../../../parts/buttons';

/** Where a flat decal comes to lie: how far it wraps, where its middle goes, and whether it lies down. */
@Component({
  selector: 'au-decal-planner',
  imports: [BUTTONS, NumberField, LengthPipe, SheetDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './decal-planner.html',
  styleUrl: './decal-planner.scss',
})
export class DecalPlanner {
  private readonly session = inject(DesignSession);
  private readonly memory = inject(WorkshopMemory);
  readonly design = input.required<Design>();
  /** apart from the design, so that what is typed outlives every change but that of the cup */
  private readonly cup = computed(() => this.design().cup);
  private readonly begun = computed(() => startingCoat('decal', { cup: this.cup() }, this.memory.workshop(), 'begun' as CoatId));
  protected readonly decal = linkedSignal<Decal>(() => {
    const { width, height, centre, angle } = this.begun();
    return { width, height, centre, angle };
  });
  protected readonly said = signal('');
  protected readonly wrong = computed(() => {
    const { width, height, centre, angle } = this.decal();
    if (!(width >= 1 && height >= 1 && width <= 800 && height <= 800)) return 'A decal is 1 to 800 mm wide and tall.';
    if (!(centre >= 0 && centre <= coatedHeight(this.cup()))) return 'Its middle must lie on the coated wall.';
    return angle >= 0 && angle <= 360 ? null : 'An angle is 0 to 360°, from the seam.';
  });
  protected readonly fit = computed(() => decalFit(this.cup().stations, this.decal()));
  protected readonly sheet = computed(() => decalTemplate('Decal', this.decal(), this.cup().stations).sheets[0]);

  protected set(change: Partial<Decal>): void {
    this.said.set('');
    this.decal.update((decal) => ({ ...decal, ...change }));
  }

  /** Before the last resin, which closes over it; at the end where there is none. */
  protected lay(): void {
    const coat: CoatOf<'decal'> = { ...this.begun(), ...this.decal(), id: v7() as CoatId };
    const refused = this.session.change((design) => withDecal(design, coat));
    this.said.set(refused ?? 'It is among the coats now, before the last resin; its template is in the list.');
  }
}
