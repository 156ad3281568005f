import { ChangeDetectionStrategy, Component, computed, inject, input, model, signal } from '@angular/core';
import {
  areaHandles,
  areaKinds,
  areaWords,
  circumferenceAt,
  coatedHeight,
  cupKinds,
  lengthText,
  snapLines,
  snapTo,
  withArea,
  withAreaChanged,
  withAreaOrder,
  withAreaTwice,
  withBandsEven,
  withHandleMoved,
  withoutArea,
  withSections,
  withSectionsEqual,
  type Area,
  type AreaId,
  type AreaKindName,
  type Design,
  type Plan,
  type WallPlace,
} from '@aurantia/core';
import { v7 } from 'uuid';
import type { HandleMove } from '../../parts/area-handle/area-handle';
import { AreaPipe } from '../../parts/fields/unit-pipes';
import { areaSwatch } from '../../parts/area-swatch';
import { WorkshopMemory } from '../../services/workshop';
import { FindingNote } from '../finding-note/finding-note';
import { DesignSession } from '../session';
import { AreaForm } from './area-form/area-form';
import { SectionsTool, type SectionsAsked } from './sections-tool/sections-tool';
import { DecalPlanner } from './decal-planner/decal-planner';
import { TemplatesPane } from './templates-pane/templates-pane';
import { WrapView } from './wrap-view/wrap-view';

/** How near a line takes a dragged edge to itself, mm along the wall. */
const SNAP = 2.5;

/** Splits the cup: the wall laid flat in the middle, the areas in the order they are laid at the right. */
@Component({
  selector: 'au-areas-stage',
  imports: [AreaPipe, AreaForm, DecalPlanner, FindingNote, SectionsTool, TemplatesPane, WrapView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './areas-stage.html',
  styleUrl: './areas-stage.scss',
})
export class AreasStage {
  private readonly session = inject(DesignSession);
  private readonly memory = inject(WorkshopMemory);
  readonly design = input.required<Design>();
  readonly plan = input.required<Plan>();
  readonly chosen = model<string | null>(null);

  protected readonly tab = signal<'lay out' | 'templates' | 'decal'>('lay out');
  protected readonly tabs = [
    { tab: 'lay out', name: 'Lay out' },
    { tab: 'templates', name: 'Templates' },
    { tab: 'decal', name: 'Decal' },
  ] as const;
  protected readonly sectioning = signal(false);
  protected readonly snapped = signal('');
  protected readonly behind = this.session.behind;
  protected readonly refused = signal<{ id: string; sentence: string } | null>(null);
  protected readonly topText = computed(() => lengthText(coatedHeight(this.design().cup), this.memory.units()));
  protected readonly kinds = computed(() => {
    const has = (kind: AreaKindName) => this.design().areas.some((area) => area.kind === kind);
    const { cup } = this.design();
    return (['band', 'wedge', 'spiral', 'wave', 'window', 'scatter', 'base', 'grip'] as const)
      .filter((kind) => kind !== 'base' || (cupKinds[cup.shape].underside && !has('base')))
      .filter((kind) => kind !== 'grip' || (cup.handle !== null && !has('grip')))
      .map((kind) => ({ kind, name: areaKinds[kind].name, explains: areaKinds[kind].explains }));
  });
  protected readonly rows = computed(() =>
    this.design().areas.map((area) => ({
      area,
      // While a long layout is worked out the plan is still the one before: a new area isn't in it yet.
      planned: this.plan().areas.areas.find(({ id }) => id === area.id) ?? null,
      colour: areaSwatch(this.plan(), area.id),
      line: this.lineOf(area),
    })),
  );
  protected readonly chosenRow = computed(() => this.rows().find(({ area }) => area.id === this.chosen()) ?? null);
  protected readonly sections = computed(() => this.design().areas.filter(({ kind }) => kind === 'wedge').length);
  protected readonly findings = computed(() => this.plan().findings.filter(({ area }) => area !== null));
  protected readonly map = computed(() => this.design().cup.stations.length > 2);

  protected set(id: AreaId, change: Partial<Area>): void {
    const sentence = this.session.change((design) => withAreaChanged(design, id, (area) => ({ ...area, ...change }) as Area));
    this.refused.set(sentence ? { id, sentence } : null);
  }

  protected why(id: string): string | null {
    const refused = this.refused();
    return refused?.id === id ? refused.sentence : null;
  }

  protected add(kind: AreaKindName): void {
    const id = v7() as AreaId;
    const sentence = this.session.change((design) => withArea(design, id, kind));
    this.refused.set(sentence ? { id: '', sentence } : null);
    if (!sentence) this.chosen.set(id);
  }

  protected splitInTwo(): void {
    const ids = [v7() as AreaId, v7() as AreaId];
    this.session.change((design) => withBandsEven(design, ids));
    this.chosen.set(ids[0]);
  }

  protected layBands(count: number): void {
    const ids = Array.from({ length: count }, () => v7() as AreaId);
    this.session.change((design) => withBandsEven(design, ids));
    this.chosen.set(ids.at(0) ?? null);
  }

  protected laySections({ count, width, lean }: SectionsAsked): void {
    const ids = Array.from({ length: count }, () => v7() as AreaId);
    const sentence = this.session.change((design) => withSections(design, { ids, width, lean, start: 0 }));
    this.refused.set(sentence ? { id: '', sentence } : null);
    if (!sentence) this.chosen.set(ids[0]);
  }

  protected makeEqual(): void {
    this.session.change(withSectionsEqual);
  }

  protected twice(id: AreaId): void {
    const copy = v7() as AreaId;
    const sentence = this.session.change((design) => withAreaTwice(design, id, copy));
    this.refused.set(sentence ? { id, sentence } : null);
    if (!sentence) this.chosen.set(copy);
  }

  protected remove(id: AreaId): void {
    this.session.change((design) => withoutArea(design, id));
  }

  protected move(index: number, by: 1 | -1): void {
    this.session.change((design) => withAreaOrder(design, index, index + by));
  }

  protected key(event: KeyboardEvent, index: number): void {
    if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
    event.preventDefault();
    this.move(index, event.key === 'ArrowUp' ? -1 : 1);
  }

  /** A handle was dragged, then it takes to a sensible line that is near, or stepped by keys. */
  handleMoved(move: HandleMove): void {
    const id = this.chosen() as AreaId | null;
    const design = this.session.document();
    const area = design?.areas.find((one) => one.id === id);
    if (id === null || !design || !area) return;
    const handle = areaHandles(area, design.cup).find(({ key }) => key === move.key);
    if (!handle) return;
    const to =
      'to' in move ? this.onLines(id, move.to) : { angle: handle.angle + move.by.angle, height: handle.height + move.by.height };
    const sentence = this.session.change((one) => withHandleMoved(one, id, move.key, to), `${id} ${move.key}`);
    this.refused.set(sentence ? { id, sentence } : null);
  }

  handleDone(): void {
    this.snapped.set('');
    this.session.endGesture();
  }

  private onLines(id: AreaId, place: WallPlace): WallPlace {
    const design = this.design();
    const lines = snapLines(design, id);
    const height = snapTo(place.height, lines.heights, SNAP);
    const tape = circumferenceAt(design.cup.stations, Math.min(this.plan().surface.height, Math.max(0, place.height)));
    const angle = snapTo(((place.angle % 360) + 360) % 360, lines.angles, (SNAP * 360) / tape);
    this.snapped.set([height?.says, angle?.says].filter((says) => says !== undefined).join(', '));
    return { height: height?.at ?? Math.round(place.height * 2) / 2, angle: angle?.at ?? Math.round(place.angle * 2) / 2 };
  }

  /** What an area is, in a line under its name. */
  private lineOf(area: Area): string {
    const planned = this.plan().areas.areas.find(({ id }) => id === area.id) ?? null;
    return [areaWords(area, planned, this.memory.units()), area.masked ? 'masked' : '', area.locked ? 'locked' : '']
      .filter((words) => words !== '')
      .join(', ');
  }
}
