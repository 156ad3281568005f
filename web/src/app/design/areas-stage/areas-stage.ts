import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { areaKinds, cupKinds, withArea, withSections, type AreaId, type AreaKindName, type Design } from '@aurantia/core';
import { v7 } from 'uuid';
import { Unfetched } from '../../parts/unfetched/unfetched';
import { AreaMoves } from '../area-moves';
import { OpenDesign } from '../open-design';
import { DesignSession } from '../session';
import { DecalPlanner } from './decal-planner/decal-planner';
import { LayOutPane } from './lay-out-pane/lay-out-pane';
import { SectionsTool, type SectionsAsked } from './sections-tool/sections-tool';
import { TemplatesPane } from './templates-pane/templates-pane';
import { Tip } from '../../parts/tip';
import { BUTTONS } from '../../parts/buttons';
import { TABS } from '../../parts/tabs/tabs';

/** Splits the cup into areas, and gives the sheets to cut them by. */
@Component({
  selector: 'au-areas-stage',
  imports: [BUTTONS, TABS, DecalPlanner, LayOutPane, SectionsTool, TemplatesPane, Unfetched, Tip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './areas-stage.html',
  styleUrl: './areas-stage.scss',
})
export class AreasStage {
  private readonly session = inject(DesignSession);
  private readonly open = inject(OpenDesign);
  protected readonly design = this.open.design;
  protected readonly plan = this.open.plan;
  protected readonly refused = inject(AreaMoves).refused;
  protected readonly behind = this.session.behind;
  protected readonly tab = signal<'lay out' | 'templates' | 'decal'>('lay out');
  protected readonly tabs = [
    { tab: 'lay out', name: 'Lay out' },
    { tab: 'templates', name: 'Templates' },
    { tab: 'decal', name: 'Decal' },
  ] as const;
  protected readonly sectioning = signal(false);
  /** kinds of area this cup has room for */
  protected readonly kinds = computed(() => {
    const { areas, cup } = this.design();
    const has = (kind: AreaKindName) => areas.some((area) => area.kind === kind);
    return Object.values(areaKinds)
      .filter(({ kind }) => kind !== 'base' || (cupKinds[cup.shape].underside && !has('base')))
      .filter(({ kind }) => kind !== 'grip' || (cup.handle !== null && !has('grip')))
      .map(({ kind, name, explains }) => ({ kind, name, explains }));
  });

  protected add(kind: AreaKindName): void {
    const id = v7() as AreaId;
    this.lay((design) => withArea(design, id, kind), id);
  }

  protected laySections({ count, width, lean }: SectionsAsked): void {
    const ids = Array.from({ length: count }, () => v7() as AreaId);
    this.lay((design) => withSections(design, { ids, width, lean, start: 0 }), ids[0]);
  }

  private lay(edit: (design: Design) => Design, chosen: AreaId): void {
    const sentence = this.session.change(edit);
    this.refused.set(sentence ? { id: '', sentence } : null);
    if (!sentence) this.open.chosenArea.set(chosen);
  }
}
