import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { cardOf } from '@aurantia/core';
import { CupFigure } from '../../parts/cup-view/cup-figure';
import { WorkshopMemory } from '../../services/workshop';
import { OpenDesign } from '../open-design';
import { BUTTONS } from '../../parts/buttons';

/** The recipe on one page, as it prints: someone else can make the cup from it. */
@Component({
  selector: 'au-card-stage',
  imports: [BUTTONS, CupFigure],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './card-stage.html',
  styleUrl: './card-stage.scss',
})
export class CardStage {
  private readonly memory = inject(WorkshopMemory);
  protected readonly design = inject(OpenDesign).design;
  protected readonly plan = inject(OpenDesign).plan;

  protected readonly settings = this.memory.settings;
  protected readonly card = computed(() => cardOf(this.plan(), this.design(), this.memory.settings()));
  /** the cup 150 css pixels tall, whatever its size */
  protected readonly scale = computed(() => 150 / this.plan().surface.height);

  protected print(): void {
    window.print();
  }
}
