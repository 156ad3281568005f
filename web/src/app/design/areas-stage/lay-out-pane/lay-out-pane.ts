import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { withBandsEven, type AreaId } from '@aurantia/core';
import { v7 } from 'uuid';
import { AreaPipe } from '../../../parts/fields/unit-pipes';
import { AreaMoves } from '../../area-moves';
import { OpenDesign } from '../../open-design';
import { DesignSession } from '../../session';
import { AreaList } from '../area-list/area-list';
import { WrapView } from '../wrap-view/wrap-view';
import { BUTTONS } from '../../../parts/buttons';

/** The wall laid flat in the middle, the areas in the order they are laid at the right. */
@Component({
  selector: 'au-lay-out-pane',
  imports: [BUTTONS, AreaList, AreaPipe, WrapView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lay-out-pane.html',
  styleUrl: './lay-out-pane.scss',
})
export class LayOutPane {
  private readonly session = inject(DesignSession);
  protected readonly held = this.session.moving;
  private readonly open = inject(OpenDesign);
  protected readonly moves = inject(AreaMoves);
  protected readonly design = this.open.design;
  protected readonly plan = this.open.plan;
  protected readonly chosen = this.open.chosenArea;
  protected readonly map = computed(() => this.design().cup.stations.length > 2);
  protected readonly chosenOne = computed(() => {
    const area = this.design().areas.find(({ id }) => id === this.chosen());
    // While a long layout is worked out the plan is still the one before: a new area isn't in it yet.
    return area && { name: area.name, size: this.plan().areas.areas.find(({ id }) => id === area.id)?.area ?? null };
  });

  protected splitInTwo(): void {
    this.layBands(2);
  }

  protected layBands(count: number): void {
    const ids = Array.from({ length: count }, () => v7() as AreaId);
    this.session.change((design) => withBandsEven(design, ids));
    this.chosen.set(ids.at(0) ?? null);
  }
}
