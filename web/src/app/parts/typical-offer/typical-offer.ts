import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { ShelfKind } from '@aurantia/core';
import { WorkshopMemory } from '../../services/workshop';
import { BUTTONS } from '../buttons';

/** Offers made-up materials to begin with, of all kinds or of some. */
@Component({
  selector: 'au-typical-offer',
  imports: [BUTTONS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" matButton="outlined" [disabled]="memory.bringing()" (click)="memory.putTypical(kinds())">
      {{ label() }}
    </button>
    <p class="soft">{{ says() }}</p>
  `,
  styles: `
    :host {
      display: grid;
      gap: 6px;
      justify-items: start;
      max-width: 440px;
    }
  `,
})
export class TypicalOffer {
  protected readonly memory = inject(WorkshopMemory);
  /** null for everything a first cup may want */
  readonly kinds = input<readonly ShelfKind[] | null>(null);
  protected readonly label = computed(() => {
    const kinds = this.kinds();
    return kinds === null ? 'Put typical materials on the shelf' : `Put typical ${kinds.join(' and ')} on the shelf`;
  });
  protected readonly says = computed(() =>
    this.kinds() === null
      ? 'Glitter in three cuts, paints, inks, pearls, resins and glues, all made up. Each wears its mark until you make it your own.'
      : 'Made up, with what is usual for its kind. It wears its mark until you make it your own.',
  );
}
