import { ChangeDetectionStrategy, Component, computed, inject, input, model } from '@angular/core';
import { RouterLink } from '@angular/router';
import { makeCalled, type Bench, type BenchCoat, type Make } from '@aurantia/core/make';
import { BUTTONS } from '../../parts/buttons';
import { Switch } from '../../parts/fields/switch';
import { Asking } from '../../services/asking';
import { WorkshopTime } from '../../services/workshop-time';
import { momentText } from '../../parts/moment-text';

/** The coats of a make along a rule, each with the moment it was done at, or is due. */
@Component({
  selector: 'au-make-rail',
  imports: [BUTTONS, RouterLink, Switch],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h1>{{ make().design.name }}</h1>
    <p class="soft">{{ called() }}</p>
    <ol>
      @for (row of rows(); track row.coat) {
        <li [class]="row.state" [attr.aria-current]="row.now ? 'step' : null">
          <span>{{ row.title }}</span><time>{{ row.when }}</time>
        </li>
      }
    </ol>
    <au-switch [checked]="rings()" (checkedChange)="rings.set($event)">Ring when a time is up</au-switch>
    <button type="button" matButton="outlined" class="turn" (click)="log.set(!log())">
      {{ log() ? 'Back to the bench' : 'What happened so far' }}
    </button>
    <a matButton routerLink="/log" class="turn">Logbook</a>
    @if (all) {
      <a matButton routerLink="/learnt" class="turn">What weighings taught</a>
    }
  `,
  styleUrl: './make-rail.scss',
})
export class MakeRail {
  private readonly time = inject(WorkshopTime);
  protected readonly all = inject(Asking).all;
  readonly make = input.required<Make>();
  readonly bench = input.required<Bench>();
  /** the log is shown in place of the coat */
  readonly log = model(false);
  readonly rings = model(true);

  protected readonly called = computed(() => makeCalled(this.make()));
  protected readonly rows = computed(() =>
    this.bench().coats.map((coat) => ({
      coat: coat.step.coat,
      title: coat.step.title,
      state: coat.state,
      now: coat.state === 'begun' || coat.state === 'next',
      when: this.when(coat),
    })),
  );

  private when({ state, ended, due }: BenchCoat): string {
    const now = this.time.minute();
    if (state === 'skipped') return 'left out';
    if (state === 'begun') return 'now';
    const moment = ended ?? due;
    return moment === null ? '' : momentText(moment, now);
  }
}
