import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { leftoverItem, pouredParts, type PlannedBlend, type ShelfItemId } from '@aurantia/core';
import { v7 } from 'uuid';
import { NumberField } from '../../../parts/fields/number-field';
import { Notices } from '../../../services/notices';
import { WorkshopMemory } from '../../../services/workshop';
import { BUTTONS } from '../../../parts/buttons';

/** What is swept up of a mix goes on the shelf as a jar of its own, its colour and flakes predicted. */
@Component({
  selector: 'au-leftover-mix',
  imports: [BUTTONS, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <au-number label="Left over of this mix" measure="ml" [value]="ml()" [refused]="wrong()" (valueChange)="set($event)" />
    <button type="button" matButton="outlined" [disabled]="ml() === 0" (click)="keep()">Put it on the shelf</button>
  `,
  styles: `
    :host {
      display: flex;
      gap: 12px;
      align-items: end;
    }
    au-number {
      width: 150px;
    }
  `,
})
export class LeftoverMix {
  private readonly memory = inject(WorkshopMemory);
  private readonly notices = inject(Notices);
  readonly blend = input.required<PlannedBlend>();
  readonly design = input.required<string>();
  protected readonly ml = signal(0);
  protected readonly wrong = signal<string | null>(null);

  protected set(ml: number | null): void {
    const less = ml !== null && ml < 0;
    this.wrong.set(less ? 'Less than nothing can’t be left.' : null);
    if (!less) this.ml.set(ml ?? 0);
  }

  protected keep(): void {
    const { areaName, parts } = this.blend();
    const made = `${areaName} of ${this.design()}`;
    const poured = pouredParts(parts, this.memory.shelf());
    const item = leftoverItem(v7() as ShelfItemId, `${areaName} leftover`, poured, this.ml(), made);
    this.memory.addItem(item, `left over of ${made}`.slice(0, 120)).subscribe({
      next: () => {
        this.ml.set(0);
        this.notices.say(`“${item.name}” is on the shelf.`);
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }
}
