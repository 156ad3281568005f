import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { countText } from '@aurantia/core';
import { BUTTONS } from '../../../parts/buttons';
import { Notices } from '../../../services/notices';
import { Orders } from '../../../services/orders';
import { Week } from '../../../services/week';

/** Takes a person’s name away everywhere, after a look at how often it is there. */
@Component({
  selector: 'au-forget-dialog',
  imports: [BUTTONS, MatDialogModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Remove {{ who }} everywhere</h2>
    <mat-dialog-content>
      <p role="status">{{ says() }}</p>
      <p class="soft">
        Cups, amounts and prices stay; whom they were for is “someone” from then on. It can’t be undone. Backups that were saved
        before still have the name: delete those you no longer need.
      </p>
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button type="button" matButton="outlined" mat-dialog-close>Leave it</button>
      <button type="button" matButton="filled" (click)="forget()">Remove {{ who }}</button>
    </mat-dialog-actions>
  `,
  styles: `
    p + p {
      margin-top: 8px;
    }
  `,
})
export class ForgetDialog {
  private readonly orders = inject(Orders);
  private readonly week = inject(Week);
  private readonly notices = inject(Notices);
  private readonly ref = inject<MatDialogRef<ForgetDialog>>(MatDialogRef);
  protected readonly who = inject<string>(MAT_DIALOG_DATA);
  private readonly mentions = toSignal(this.orders.mentions(this.who));
  protected readonly says = computed(() => {
    const found = this.mentions();
    return found
      ? `${this.who} is named in ${countText(found.orders, 'order')} and ${countText(found.makes, 'make')}, with what was written at the bench.`
      : 'Looking where the name stands…';
  });

  protected forget(): void {
    this.orders.forget(this.who).subscribe({
      next: () => {
        this.notices.say(`${this.who} is no longer named in any order, make or log.`);
        this.week.load();
        this.ref.close();
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }
}
