import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import { logLines } from '@aurantia/core/make';
import { BUTTONS } from '../../parts/buttons';
import { Asking } from '../../services/asking';
import { WorkshopMemory } from '../../services/workshop';
import { WorkshopTime } from '../../services/workshop-time';
import type { LoggedMake } from '../../services/makes';
import { MadeAgain } from './made-again';
import { MakeCost } from './make-cost';
import { MakePhotosStrip } from './make-photos';
import { MakeScore } from './make-score';
import { momentText } from '../../parts/moment-text';

/** What happened to a cup, line by line, the latest first: planned beside what it really was. */
@Component({
  selector: 'au-make-log',
  imports: [BUTTONS, MadeAgain, MakeCost, MakePhotosStrip, MakeScore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="head">
      <h2>What happened so far</h2>
      <a matButton="outlined" [href]="'/api/makes/' + logged().make.id + '/file'" download>Save as a file</a>
      <a matButton="outlined" [href]="'/api/makes/' + logged().make.id + '/log.csv'" download>As a table</a>
      <a matButton="outlined" [href]="'/api/makes/' + logged().make.id + '/sheet.pdf'" target="_blank" rel="noopener">To print</a>
    </div>
    <au-make-score [logged]="logged()" />
    <au-make-photos [logged]="logged()" />
    @if (all) {
      @defer (on idle) {
        <au-make-cost [logged]="logged()" />
      }
      <au-made-again [logged]="logged()" />
      <button type="button" matButton="outlined" class="other" (click)="refit()">See it on another cup…</button>
    }
    <ol>
      @for (row of rows(); track row.id) {
        <li>
          <time>{{ row.when }}</time>
          <div>
            <b>{{ row.what }}</b>
            @if (row.says) {
              <p>{{ row.says }}</p>
            }
            @if (row.amounts.length > 0) {
              <table>
                <thead>
                  <tr>
                    <th scope="col">What</th>
                    <th scope="col">planned</th>
                    <th scope="col">really</th>
                  </tr>
                </thead>
                <tbody>
                  @for (amount of row.amounts; track amount.name) {
                    <tr [class.other]="amount.other">
                      <th scope="row">{{ amount.name }}</th>
                      <td>{{ amount.planned }}</td>
                      <td>{{ amount.really }}</td>
                    </tr>
                  }
                </tbody>
              </table>
            }
          </div>
        </li>
      } @empty {
        <li class="soft">Nothing yet. Each press at the bench is written down here with its moment.</li>
      }
    </ol>
  `,
  styleUrl: './make-log.scss',
  host: { role: 'region', 'aria-label': 'What happened so far', tabindex: '0' },
})
export class MakeLog {
  private readonly memory = inject(WorkshopMemory);
  private readonly dialogs = inject(MatDialog);
  protected readonly all = inject(Asking).all;
  private readonly time = inject(WorkshopTime);
  readonly logged = input.required<LoggedMake>();

  /** The recipe as it was frozen, on another cup. */
  protected async refit(): Promise<void> {
    const { RefitDialog } = await import('../refit-dialog/refit-dialog');
    const { design } = this.logged().make;
    this.dialogs.open(RefitDialog, { data: design, width: '980px', maxWidth: '96vw', ariaLabel: 'On another cup' });
  }

  protected readonly rows = computed(() => {
    const { make, entries } = this.logged();
    return logLines(make, entries, this.memory.settings())
      .map((line) => ({ ...line, when: momentText(line.at, this.time.minute()) }))
      .reverse();
  });
}
