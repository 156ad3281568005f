import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { planOf, startingCup, startingDesign, type Cup } from '@aurantia/core';
import { v7 } from 'uuid';
import { CupFigure } from '../../parts/cup-view/cup-figure';
import { CupSheet } from '../../parts/cup-sheet/cup-sheet';
import { AreaPipe, LengthPipe } from '../../parts/fields/unit-pipes';
import { Notices } from '../../services/notices';
import { WorkshopMemory } from '../../services/workshop';

/** The cups that were measured, side by side at one scale, and the measuring sheet. */
@Component({
  selector: 'au-cups-place',
  imports: [CupFigure, CupSheet, AreaPipe, LengthPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cups-place.html',
  styleUrl: './cups-place.scss',
})
export class CupsPlace {
  private readonly memory = inject(WorkshopMemory);
  private readonly notices = inject(Notices);
  private readonly picked = signal<string | null>(null);
  protected readonly loaded = this.memory.loaded;
  protected readonly cups = computed(() =>
    this.memory
      .cups()
      .map((kept) => ({ kept, plan: planOf(startingDesign(kept.id, kept.cup.name, kept.cup), this.memory.workshop()) })),
  );
  protected readonly chosen = computed(
    () => this.cups().find(({ kept }) => kept.id === this.picked()) ?? this.cups().at(0) ?? null,
  );

  protected pick(id: string): void {
    this.picked.set(id);
  }

  protected measure(): void {
    const id = v7();
    this.keep(id, startingCup);
    this.picked.set(id);
  }

  protected keep(id: string, cup: Cup): void {
    this.memory.putCup(id, cup).subscribe({ error: (error: unknown) => this.notices.failed(error) });
  }

  protected remove(): void {
    const one = this.chosen();
    if (one) this.memory.removeCup(one.kept);
  }
}
