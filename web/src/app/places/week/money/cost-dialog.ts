import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogModule } from '@angular/material/dialog';
import { RouterLink } from '@angular/router';
import type { Design } from '@aurantia/core';
import { BUTTONS } from '../../../parts/buttons';
import { PricedDesign } from './priced-design';

/** What a cup of the open design costs and has to be sold for, as it stands now. */
@Component({
  selector: 'au-cost-dialog',
  imports: [BUTTONS, MatDialogModule, PricedDesign, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>What {{ design.name }} costs</h2>
    <mat-dialog-content><au-priced-design [design]="design" /></mat-dialog-content>
    <mat-dialog-actions align="end">
      <a matButton="outlined" routerLink="/week/money" mat-dialog-close>How it is counted</a>
      <button type="button" matButton="outlined" mat-dialog-close>Done</button>
    </mat-dialog-actions>
  `,
})
export class CostDialog {
  protected readonly design = inject<Design>(MAT_DIALOG_DATA);
}
