import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import { Router } from '@angular/router';
import { cardOf, figuresWithUnits, NO_COATS } from '@aurantia/core';
import { CupFigure } from '../../parts/cup-view/cup-figure';
import { Notices } from '../../services/notices';
import { WorkshopMemory } from '../../services/workshop';
import { OpenDesign } from '../open-design';
import { DesignSession } from '../session';
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
  private readonly dialog = inject(MatDialog);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  private readonly session = inject(DesignSession);
  protected readonly design = inject(OpenDesign).design;
  protected readonly plan = inject(OpenDesign).plan;

  protected readonly settings = this.memory.settings;
  protected readonly card = computed(() => figuresWithUnits(cardOf(this.plan(), this.design(), this.memory.settings())));
  /** the cup 150 css pixels tall, whatever its size */
  protected readonly scale = computed(() => 150 / this.plan().surface.height);

  /** Freezes a make of it; what is being kept is waited for, so that it is made as it is seen. */
  protected async make(): Promise<void> {
    const { id, coats } = this.design();
    if (coats.length === 0)
      return this.notices.offer(NO_COATS, 'To the coats', () => {
        void this.router.navigate(['/designs', id, 'coats']);
      });
    const { MakeDialog } = await import('../../places/make-dialog/make-dialog');
    this.dialog.open(MakeDialog, {
      width: '520px',
      maxWidth: '96vw',
      data: { design: this.design(), findings: this.plan().findings, kept: () => this.session.saving.state() === 'kept' },
    });
  }

  protected print(): void {
    window.print();
  }
}
