import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { countText, fileNameOf, type Design, type Plan } from '@aurantia/core';
import {
  templatePages,
  templatesOf,
  templateSvg,
  templateWishFault,
  usualWishes,
  type TemplateWishes,
} from '@aurantia/core/templates';
import { NumberField } from '../../../parts/fields/number-field';
import { LengthPipe } from '../../../parts/fields/unit-pipes';
import { saveText } from '../../../services/save-file';
import { WorkshopMemory } from '../../../services/workshop';
import { SheetDrawing } from '../sheet-drawing';
import { Tick } from '../../../parts/fields/tick';
import { BUTTONS } from '../../../parts/buttons';

/** Every template of the design: what it looks like flat, what to know before cutting, and the files. */
@Component({
  selector: 'au-templates-pane',
  imports: [BUTTONS, NumberField, LengthPipe, SheetDrawing, Tick],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './templates-pane.html',
  styleUrl: './templates-pane.scss',
})
export class TemplatesPane {
  private readonly memory = inject(WorkshopMemory);
  readonly design = input.required<Design>();
  readonly plan = input.required<Plan>();

  protected readonly gap = signal(usualWishes.gap);
  protected readonly overlap = signal(usualWishes.overlap);
  protected readonly straight = signal(false);
  protected readonly refused = signal<{ field: string; sentence: string } | null>(null);
  protected readonly offers = computed(() => templatesOf(this.design(), this.plan()));
  private readonly picked = linkedSignal<string | null>(() => null);
  protected readonly offer = computed(() => this.offers().find(({ id }) => id === this.picked()) ?? this.offers().at(0) ?? null);
  private readonly wishes = computed(() => ({ gap: this.gap(), overlap: this.overlap(), straight: this.straight() }));
  protected readonly template = computed(() => this.offer()?.draw(this.wishes()) ?? null);
  protected readonly paper = computed(() => this.memory.settings().paper);
  protected readonly pages = computed(() => {
    const template = this.template();
    return template ? countText(templatePages(template, this.paper()).length, 'page') : '';
  });
  protected readonly pdf = computed(() => {
    const wishes = this.wishes();
    const query = new URLSearchParams({
      what: this.offer()?.id ?? '',
      gap: String(wishes.gap),
      overlap: String(wishes.overlap),
      straight: String(wishes.straight),
    });
    return `/api/designs/${encodeURIComponent(this.design().id)}/template.pdf?${query.toString()}`;
  });

  /** Kept only within what a template can be; the last good figure stays. */
  protected set(field: 'gap' | 'overlap', mm: number | null): void {
    const sentence = templateWishFault(field, mm ?? 0);
    this.refused.set(sentence ? { field, sentence } : null);
    if (!sentence) this[field].set(mm ?? 0);
  }

  protected wants(wish: keyof TemplateWishes): boolean {
    return this.offer()?.wants.includes(wish) ?? false;
  }

  protected why(field: 'gap' | 'overlap'): string | null {
    const refused = this.refused();
    return refused?.field === field ? refused.sentence : null;
  }

  protected pick(id: string): void {
    this.picked.set(id);
  }

  /** Straight from the plan on screen, so that it is of what is seen. */
  protected saveSvg(): void {
    const template = this.template();
    if (!template) return;
    saveText(`${fileNameOf(`${this.design().name} ${template.title}`, 'template')}.svg`, templateSvg(template), 'image/svg+xml');
  }
}
