import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { volumeCheck, withCupFitted, type Cup } from '@aurantia/core';
import { MatDialog } from '@angular/material/dialog';
import { v7 } from 'uuid';
import { Chips } from '../../parts/chips/chips';
import { CupSheet } from '../../parts/cup-sheet/cup-sheet';
import { AreaPipe } from '../../parts/fields/unit-pipes';
import { Notices } from '../../services/notices';
import { WorkshopMemory } from '../../services/workshop';
import { OpenDesign } from '../open-design';
import { DesignSession } from '../session';
import { BUTTONS } from '../../parts/buttons';

/** Which cup: one that was measured before, or this one, measured now. */
@Component({
  selector: 'au-cup-stage',
  imports: [BUTTONS, Chips, CupSheet, AreaPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Which cup is it?</h2>
    <au-chips label="Cups measured before" [chips]="known()" (pressed)="choose($event)" />
    <au-cup-sheet [cup]="design().cup" [refused]="refused()" (cupChange)="take($event)" />
    @if (tried(); as other) {
      <button type="button" matButton="outlined" (click)="fit(other)">Fit the areas to {{ other.name }}</button>
    }
    <dl class="figure-row">
      <div>
        <dt>Wall</dt>
        <dd>{{ plan().surface.wall | area }}</dd>
      </div>
      <div>
        <dt>Base</dt>
        <dd>{{ plan().surface.base | area }}</dd>
      </div>
      <div>
        <dt>To coat, lip strip off</dt>
        <dd>{{ plan().surface.coatable | area }}</dd>
      </div>
      <div>
        <dt>Outside volume</dt>
        <dd>{{ plan().surface.volume.toFixed(0) }} ml</dd>
      </div>
    </dl>
    <p class="soft">{{ plausible() }}</p>
    @if (!keptAlready()) {
      <button type="button" matButton="outlined" (click)="keep()">Keep this cup for other designs</button>
    }
    <button type="button" matButton="outlined" (click)="refit()">See it on another cup…</button>
  `,
  styles: `
    :host {
      display: grid;
      gap: 14px;
      align-content: start;
      justify-items: start;
    }
    au-cup-sheet {
      width: 100%;
    }
  `,
})
export class CupStage {
  private readonly session = inject(DesignSession);
  private readonly memory = inject(WorkshopMemory);
  private readonly notices = inject(Notices);
  private readonly dialogs = inject(MatDialog);
  protected readonly design = inject(OpenDesign).design;
  protected readonly plan = inject(OpenDesign).plan;
  protected readonly cups = this.memory.cups;
  protected readonly known = computed(() =>
    this.cups().map(({ id, cup }) => ({ id, name: cup.name, on: cup.name === this.design().cup.name })),
  );
  protected readonly refused = signal<string | null>(null);
  protected readonly tried = signal<Cup | null>(null);
  protected readonly keptAlready = computed(() =>
    this.cups().some(({ cup }) => JSON.stringify(cup) === JSON.stringify(this.design().cup)),
  );
  protected readonly plausible = computed(() => volumeCheck(this.plan().surface.volume, this.design().cup.volume));

  protected choose(id: string): void {
    const kept = this.cups().find((one) => one.id === id);
    if (kept) this.take(kept.cup);
  }

  protected take(cup: Cup): void {
    this.refused.set(this.session.change((design) => ({ ...design, cup })));
    this.tried.set(this.refused() ? cup : null);
  }

  /** The areas reach off the cup that was asked for: they go along by their share of its height. */
  protected fit(cup: Cup): void {
    this.refused.set(this.session.change((design) => withCupFitted(design, cup)));
    this.tried.set(null);
  }

  /** A copy on another cup, both side by side. */
  protected async refit(): Promise<void> {
    const { RefitDialog } = await import('../../places/refit-dialog/refit-dialog');
    this.dialogs.open(RefitDialog, { data: this.design(), width: '980px', maxWidth: '96vw', ariaLabel: 'On another cup' });
  }

  protected keep(): void {
    const known = this.cups().find(({ cup }) => cup.name === this.design().cup.name);
    this.memory
      .putCup(known?.id ?? v7(), this.design().cup)
      .subscribe(({ cup }) => this.notices.say(`${cup.name} is with the cups now.`));
  }
}
