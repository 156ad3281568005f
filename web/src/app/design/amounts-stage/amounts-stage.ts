import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, viewChild } from '@angular/core';
import { MatSort } from '@angular/material/sort';
import { MatTableDataSource } from '@angular/material/table';
import { amountText, listText, materialsTaken, type MaterialTaken } from '@aurantia/core';
import { cupsAtOnce, leftOverOf, MOST_CUPS, sharedBatches } from '@aurantia/core/batches';
import { NumberField } from '../../parts/fields/number-field';
import { MinutesPipe } from '../../parts/fields/unit-pipes';
import { MaterialGlyph } from '../../parts/glyphs/material-glyph';
import { SORT, TABLE } from '../../parts/table';
import { WorkshopMemory } from '../../services/workshop';
import { CoatAmounts } from '../coat-amounts/coat-amounts';
import { OpenDesign } from '../open-design';

/** Everything to measure: the whole shopping first, then coat by coat. */
@Component({
  selector: 'au-amounts-stage',
  imports: [CoatAmounts, MaterialGlyph, MinutesPipe, NumberField, SORT, TABLE],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './amounts-stage.html',
  styleUrl: './amounts-stage.scss',
})
export class AmountsStage {
  private readonly memory = inject(WorkshopMemory);
  protected readonly plan = inject(OpenDesign).plan;
  private readonly sort = viewChild(MatSort);
  protected readonly columns = ['name', 'takes', 'left'] as const;
  protected readonly all = new MatTableDataSource<MaterialTaken>();
  private readonly design = inject(OpenDesign).design;
  /** how many cups alike are laid at once */
  protected readonly cups = signal(1);
  protected readonly wrong = signal<string | null>(null);
  private readonly onCups = computed(() => cupsAtOnce(this.plan(), this.design(), this.memory.workshop(), this.cups()));
  protected readonly measured = computed(() => {
    const units = this.memory.units();
    return this.onCups().coats.flatMap(({ planned, batch }, index) => {
      const { mix } = planned;
      if (!mix && planned.pours.length === 0) return [];
      const over = mix && leftOverOf(mix, this.plan().areas.areas, units);
      return [
        {
          coat: planned,
          number: index + 1,
          batch: batch && batch.pots > 1 ? batch : null,
          over: mix && over ? { ml: amountText(over.ml, units, (mix.aGrams + mix.bGrams) / mix.mix), would: over.would } : null,
        },
      ];
    });
  });
  protected readonly saved = computed(() => {
    const { saved, materials } = this.onCups();
    const [resin] = materials.resins;
    return saved > 0.05 && this.cups() > 1 ? amountText(saved, this.memory.units(), resin.grams / resin.mix) : null;
  });
  protected readonly shared = computed(() => {
    const units = this.memory.units();
    return this.cups() > 1
      ? []
      : sharedBatches(this.plan(), this.design(), this.memory.workshop()).map((one) => ({
          coats: listText(one.coats.map(String)),
          resin: one.resin,
          mix: amountText(one.mix, units, one.gramsPerMl),
          saved: amountText(one.saved, units, one.gramsPerMl),
        }));
  });

  constructor() {
    this.all.sortingDataAccessor = (row, column) =>
      ({ name: row.name.toLowerCase(), takes: row.ml, left: row.left ?? -1 })[column] ?? '';
    effect(() => {
      this.all.sort = this.sort() ?? null;
    });
    effect(() => {
      this.all.data = [...materialsTaken(this.onCups().materials, this.memory.shelf(), this.memory.units())];
    });
  }

  protected take(cups: number | null): void {
    const sound = cups !== null && Number.isInteger(cups) && cups >= 1 && cups <= MOST_CUPS;
    this.wrong.set(sound ? null : `One to ${MOST_CUPS} cups go through one pair of hands at once.`);
    if (sound) this.cups.set(cups);
  }
}
