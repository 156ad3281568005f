import { ChangeDetectionStrategy, Component, computed, effect, inject, viewChild } from '@angular/core';
import { MatSort } from '@angular/material/sort';
import { MatTableDataSource } from '@angular/material/table';
import { materialsTaken, type MaterialTaken } from '@aurantia/core';
import { MinutesPipe } from '../../parts/fields/unit-pipes';
import { MaterialGlyph } from '../../parts/glyphs/material-glyph';
import { SORT, TABLE } from '../../parts/table';
import { WorkshopMemory } from '../../services/workshop';
import { CoatAmounts } from '../coat-amounts/coat-amounts';
import { OpenDesign } from '../open-design';

/** Everything to measure: the whole shopping first, then coat by coat. */
@Component({
  selector: 'au-amounts-stage',
  imports: [CoatAmounts, MaterialGlyph, MinutesPipe, SORT, TABLE],
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
  protected readonly measured = computed(() =>
    this.plan().coats.flatMap((coat, index) => (coat.mix || coat.pours.length > 0 ? [{ coat, number: index + 1 }] : [])),
  );

  constructor() {
    this.all.sortingDataAccessor = (row, column) =>
      ({ name: row.name.toLowerCase(), takes: row.ml, left: row.left ?? -1 })[column] ?? '';
    effect(() => {
      this.all.sort = this.sort() ?? null;
    });
    effect(() => {
      this.all.data = [...materialsTaken(this.plan().totals, this.memory.shelf(), this.memory.units())];
    });
  }
}
