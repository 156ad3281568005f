import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatDialogModule } from '@angular/material/dialog';
import { RouterLink } from '@angular/router';
import { countText, listText } from '@aurantia/core';
import { buyCsv, buyText, takesText, toBuyText } from '@aurantia/core/make';
import { BUTTONS } from '../../parts/buttons';
import { momentText } from '../../parts/moment-text';
import { Needs } from '../../services/needs';
import { saveText } from '../../services/save-file';
import { WorkshopTime } from '../../services/workshop-time';

/** What the cups on the bench will take, jar by jar, beside what there is; what has to be bought goes along as a list. */
@Component({
  selector: 'au-needs-dialog',
  imports: [BUTTONS, MatDialogModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './needs-dialog.html',
  styleUrl: './needs-dialog.scss',
})
export class NeedsDialog {
  private readonly memory = inject(Needs);
  private readonly time = inject(WorkshopTime);
  protected readonly needs = this.memory.needs;
  protected readonly rows = computed(() =>
    (this.needs() ?? []).map((need) => ({
      item: need.item,
      name: need.name,
      for: listText(need.by),
      takes: takesText(need),
      lacks: need.short > 0 ? `${toBuyText(need)} to buy` : '',
      runsOut: need.out ? `runs out at ${need.out.at}, ${momentText(need.out.due, this.time.minute())}` : '',
    })),
  );
  protected readonly says = computed(() => {
    const short = this.memory.short().length;
    if (this.rows().length === 0) return 'No cup on the bench takes anything from the shelf.';
    return short === 0
      ? 'There is enough of everything for the cups on the bench.'
      : `${countText(short, 'jar')} won’t last for the cups on the bench.`;
  });
  protected readonly buys = computed(() => this.memory.short().length > 0);

  protected saveList(): void {
    saveText('to-buy.txt', buyText(this.needs() ?? []), 'text/plain');
  }

  protected saveTable(): void {
    saveText('to-buy.csv', buyCsv(this.needs() ?? []), 'text/csv');
  }
}
