import { ChangeDetectionStrategy, ChangeDetectorRef, Component, ElementRef, computed, inject } from '@angular/core';
import {
  areaMirrored,
  areaWords,
  coatedHeight,
  lengthText,
  withAreaChanged,
  withAreaOrder,
  withAreaMirrored,
  withAreaTwice,
  withoutArea,
  withSectionsEqual,
  type Area,
  type AreaId,
  type PlannedArea,
} from '@aurantia/core';
import { v7 } from 'uuid';
import { areaSwatch } from '../../../parts/area-swatch';
import { AreaPipe } from '../../../parts/fields/unit-pipes';
import { WorkshopMemory } from '../../../services/workshop';
import { AreaMoves } from '../../area-moves';
import { FindingNote } from '../../finding-note/finding-note';
import { OpenDesign } from '../../open-design';
import { DesignSession } from '../../session';
import { AreaForm } from '../area-form/area-form';
import { Tick } from '../../../parts/fields/tick';
import { Tip } from '../../../parts/tip';
import { TextField } from '../../../parts/fields/text-field';
import { Icon } from '../../../parts/icons/icon';
import { Locked } from '../../../parts/fields/locked';
import { BUTTONS } from '../../../parts/buttons';

/** The areas in the order they are laid, the chosen one open to be set, and what they leave over. */
@Component({
  selector: 'au-area-list',
  imports: [BUTTONS, AreaForm, AreaPipe, FindingNote, Tick, Tip, TextField, Icon, Locked],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './area-list.html',
  styleUrl: './area-list.scss',
  host: { role: 'region', 'aria-label': 'Areas in the order they are laid', tabindex: '0' },
})
export class AreaList {
  private readonly session = inject(DesignSession);
  private readonly changes = inject(ChangeDetectorRef);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly memory = inject(WorkshopMemory);
  private readonly open = inject(OpenDesign);
  private readonly refused = inject(AreaMoves).refused;
  protected readonly design = this.open.design;
  protected readonly plan = this.open.plan;
  protected readonly chosen = this.open.chosenArea;
  protected readonly topText = computed(() => lengthText(coatedHeight(this.design().cup), this.memory.units()));
  protected readonly twice = withAreaTwice;
  protected readonly mirrored = withAreaMirrored;
  protected readonly rows = computed(() =>
    this.design().areas.map((area) => {
      // While a long layout is worked out the plan is still the one before: a new area isn't in it yet.
      const planned = this.plan().areas.areas.find(({ id }) => id === area.id) ?? null;
      return { area, planned, colour: areaSwatch(this.plan(), area.id), line: this.lineOf(area, planned) };
    }),
  );
  /** whether the chosen area is another one mirrored */
  protected readonly mirrors = computed(() => {
    const area = this.design().areas.find(({ id }) => id === this.chosen());
    return area !== undefined && areaMirrored(area) !== null;
  });
  protected readonly sections = computed(() => this.design().areas.filter(({ kind }) => kind === 'wedge').length);
  protected readonly findings = computed(() => this.plan().findings.filter(({ area }) => area !== null));

  protected set(id: AreaId, change: Partial<Area>): void {
    const sentence = this.session.change((design) => withAreaChanged(design, id, (area) => ({ ...area, ...change }) as Area));
    this.refused.set(sentence ? { id, sentence } : null);
  }

  protected why(id: string): string | null {
    const refused = this.refused();
    return refused?.id === id ? refused.sentence : null;
  }

  protected makeEqual(): void {
    this.session.change(withSectionsEqual);
  }

  protected copy(id: AreaId, made: typeof withAreaTwice): void {
    const copy = v7() as AreaId;
    const sentence = this.session.change((design) => made(design, id, copy));
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
    const { id } = this.rows()[index].area;
    this.move(index, event.key === 'ArrowUp' ? -1 : 1);
    // Laid out anew at once, with the focus on it, so that the next key finds it.
    this.changes.detectChanges();
    this.host.nativeElement.querySelector<HTMLElement>(`[data-area="${id}"] .row`)?.focus();
  }

  /** What an area is, in a line under its name. */
  private lineOf(area: Area, planned: PlannedArea | null): string {
    return [areaWords(area, planned, this.memory.units()), area.masked ? 'masked' : '', area.locked ? 'locked' : '']
      .filter((words) => words !== '')
      .join(', ');
  }
}
