import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { cardOf, type Design, type Plan } from '@aurantia/core';
import { CupFigure } from '../../parts/cup-view/cup-figure';
import { WorkshopMemory } from '../../services/workshop';

/** The recipe on one page, as it prints: someone else can make the cup from it. */
@Component({
  selector: 'au-card-stage',
  imports: [CupFigure],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './card-stage.html',
  styleUrl: './card-stage.scss',
})
export class CardStage {
  private readonly memory = inject(WorkshopMemory);
  readonly design = input.required<Design>();
  readonly plan = input.required<Plan>();

  protected readonly settings = this.memory.settings;
  protected readonly card = computed(() => cardOf(this.plan(), this.design(), this.memory.settings()));
  /** the cup 150 css pixels tall, whatever its size */
  protected readonly scale = computed(() => 150 / this.plan().surface.height);

  protected print(): void {
    window.print();
  }
}
