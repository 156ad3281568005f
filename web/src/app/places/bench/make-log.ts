import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { temperatureText } from '@aurantia/core';
import { amountRead, reallyPoured, weighedText, type LogEntry, type Make } from '@aurantia/core/make';
import { BUTTONS } from '../../parts/buttons';
import { WorkshopMemory } from '../../services/workshop';
import { WorkshopTime } from '../../services/workshop-time';
import type { LoggedMake } from '../../services/makes';
import { MadeAgain } from './made-again';
import { MakePhotosStrip } from './make-photos';
import { MakeScore } from './make-score';
import { momentText } from '../../parts/moment-text';

interface Row {
  readonly id: string;
  readonly when: string;
  readonly what: string;
  readonly says: string;
  /** planned beside actual */
  readonly amounts: readonly {
    readonly name: string;
    readonly planned: string;
    readonly really: string;
    readonly other: boolean;
  }[];
}

/** What happened to a cup, line by line, the latest first: planned beside what it really was. */
@Component({
  selector: 'au-make-log',
  imports: [BUTTONS, MadeAgain, MakePhotosStrip, MakeScore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="head">
      <h2>What happened so far</h2>
      <a matButton="outlined" [href]="'/api/makes/' + logged().make.id + '/file'" download>Save as a file</a>
      <a matButton="outlined" [href]="'/api/makes/' + logged().make.id + '/log.csv'" download>As a table</a>
    </div>
    <au-make-score [logged]="logged()" />
    <au-make-photos [logged]="logged()" />
    <au-made-again [logged]="logged()" />
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
  private readonly time = inject(WorkshopTime);
  readonly logged = input.required<LoggedMake>();

  protected readonly rows = computed<readonly Row[]>(() => {
    const { make, entries } = this.logged();
    return entries.map((entry) => this.rowOf(make, entry)).reverse();
  });

  private rowOf(make: Make, entry: LogEntry): Row {
    const when = momentText(Date.parse(entry.at), this.time.now());
    const step = 'coat' in entry ? make.steps.find(({ coat }) => coat === entry.coat) : undefined;
    const title = step?.title ?? '';
    const row = (what: string, says = '', amounts: Row['amounts'] = []): Row => ({ id: entry.id, when, what, says, amounts });
    switch (entry.what) {
      case 'begun':
        return row(`Begun: ${title}`);
      case 'done': {
        const { units } = this.memory.settings();
        return row(
          `Done: ${title}`,
          '',
          (step?.amounts ?? []).map((amount) => ({
            name: amount.where === null ? amount.name : `${amount.name}, ${amount.where}`,
            planned: amountRead(amount, amount.amount, units).figure,
            really: amountRead(amount, reallyPoured(amount, entry.poured), units).figure,
            other: amount.key in entry.poured,
          })),
        );
      }
      case 'weighed':
        return row(`Weighed: ${title}`, weighedText(entry));
      case 'set':
        return row(
          `Set: ${title}`,
          `A nail leaves no mark in it, at ${temperatureText(entry.celsius, this.memory.settings().units)}.`,
        );
      case 'skipped':
        return row(`Left out: ${title}`, entry.why);
      case 'undone':
        return row(`Undone: ${title}`);
      case 'note':
        return row(
          entry.next ? `For next time${title ? `, at ${title}` : ''}` : `Note${title ? `, at ${title}` : ''}`,
          entry.text,
        );
      case 'mishap':
        return row(`${entry.says}: ${title}`, entry.answer);
      case 'given up':
        return row('Given up', entry.why);
      case 'taken up':
        return row('Taken up again');
    }
  }
}
