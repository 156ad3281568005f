import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { Router } from '@angular/router';
import { asDone, recipeWith } from '@aurantia/core/make';
import { v7 } from 'uuid';
import type { DesignId } from '@aurantia/core';
import { BUTTONS } from '../../parts/buttons';
import { Tick } from '../../parts/fields/tick';
import { KeptDesigns } from '../../services/kept-designs';
import type { LoggedMake } from '../../services/makes';
import { Notices } from '../../services/notices';
import { WorkshopMemory } from '../../services/workshop';

/** A make as a recipe of its own: what was really done is taken line by line, nothing by itself. */
@Component({
  selector: 'au-made-again',
  imports: [BUTTONS, Tick],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (changes().length > 0) {
      <h3>Make it again as it was done</h3>
      <p class="soft">Tick what shall be so next time too. The design and this make stay as they are.</p>
      @for (change of changes(); track change.id) {
        <au-tick [checked]="taken().has(change.id)" (checkedChange)="take(change.id, $event)"
          >{{ change.of }}: {{ change.planned }} planned, <b>{{ change.really }}</b></au-tick
        >
      }
      <button type="button" matButton="outlined" [disabled]="taken().size === 0 || busy()" (click)="keep()">
        Keep it as a design of its own
      </button>
    }
  `,
  styleUrl: './aside.scss',
  host: { '[class.none]': 'changes().length === 0' },
})
export class MadeAgain {
  private readonly designs = inject(KeptDesigns);
  private readonly notices = inject(Notices);
  private readonly memory = inject(WorkshopMemory);
  private readonly router = inject(Router);
  readonly logged = input.required<LoggedMake>();

  protected readonly busy = signal(false);
  protected readonly changes = computed(() => {
    const { make, entries } = this.logged();
    return asDone(make, entries, this.memory.settings());
  });
  /** ids of those that are taken */
  protected readonly taken = linkedSignal<unknown, ReadonlySet<string>>({
    source: computed(() => this.logged().make.id),
    computation: () => new Set(),
  });

  protected take(id: string, taken: boolean): void {
    const ids = new Set(this.taken());
    if (taken) ids.add(id);
    else ids.delete(id);
    this.taken.set(ids);
  }

  protected keep(): void {
    const { make } = this.logged();
    const recipe = recipeWith(
      make,
      this.changes().filter(({ id }) => this.taken().has(id)),
    );
    const name = `${make.design.name}, as make ${make.number}`.slice(0, 80);
    this.busy.set(true);
    this.designs.create({ ...recipe, id: v7() as DesignId, name }).subscribe({
      next: ({ document }) => void this.router.navigate(['/designs', document.id, 'amounts']),
      error: (error: unknown) => {
        this.busy.set(false);
        this.notices.failed(error);
      },
    });
  }
}
