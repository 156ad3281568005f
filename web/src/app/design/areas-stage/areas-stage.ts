import { ChangeDetectionStrategy, Component, computed, inject, input, model, signal } from '@angular/core';
import {
  coatedHeight,
  lengthText,
  withArea,
  withBandsEven,
  withoutArea,
  type Area,
  type AreaId,
  type Design,
  type Plan,
} from '@aurantia/core';
import { v7 } from 'uuid';
import { NumberField } from '../../parts/fields/number-field';
import { AreaPipe, SpanPipe } from '../../parts/fields/unit-pipes';
import { WorkshopMemory } from '../../services/workshop';
import { DesignSession } from '../session';

/** Splits the wall into bands, later ones lying on earlier. */
@Component({
  selector: 'au-areas-stage',
  imports: [NumberField, AreaPipe, SpanPipe],
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

  protected readonly even = signal(3);
  protected readonly refused = signal<{ id: string; field: string; sentence: string } | null>(null);
  protected readonly top = computed(() => coatedHeight(this.design().cup));
  protected readonly topText = computed(() => lengthText(this.top(), this.memory.units()));
  protected readonly hasBase = computed(() => this.design().areas.some((area) => area.kind === 'base'));
  protected readonly rows = computed(() =>
    this.design().areas.map((area, index) => ({
      area,
      planned: this.plan().areas.areas[index],
      colour: this.plan().finished[area.id],
    })),
  );
  /** the wall as a strip, foot at the bottom, shares of the whole height */
  protected readonly strip = computed(() => {
    const { height } = this.plan().surface;
    return this.plan().areas.areas.flatMap((area) =>
      area.spans.map(({ from, to }) => ({
        id: area.id,
        name: area.name,
        colour: this.plan().finished[area.id],
        bottom: (from / height) * 100,
        tall: ((to - from) / height) * 100,
      })),
    );
  });

  protected why(id: string, field: string): string | null {
    const refused = this.refused();
    return refused?.id === id && refused.field === field ? refused.sentence : null;
  }

  protected set(id: AreaId, field: string, change: Partial<Area>): void {
    const sentence = this.session.change((design) => ({
      ...design,
      areas: design.areas.map((area) => (area.id === id ? ({ ...area, ...change } as Area) : area)),
    }));
    this.refused.set(sentence ? { id, field, sentence } : null);
  }

  protected add(kind: 'band' | 'base'): void {
    const id = v7() as AreaId;
    this.session.change((design) => withArea(design, id, kind));
    this.chosen.set(id);
  }

  protected split(): void {
    const ids = Array.from({ length: this.even() }, () => v7() as AreaId);
    this.session.change((design) => withBandsEven(design, ids));
    this.chosen.set(ids[0]);
  }

  protected remove(id: AreaId): void {
    this.session.change((design) => withoutArea(design, id));
  }

  protected move(index: number, by: 1 | -1): void {
    this.session.change((design) => {
      const areas = [...design.areas];
      const [area] = areas.splice(index, 1);
      areas.splice(index + by, 0, area);
      return { ...design, areas };
    });
  }
}
