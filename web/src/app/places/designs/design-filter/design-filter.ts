import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { keptSpans, momentsOf, type KeptSpan } from '@aurantia/core';
import { Chips } from '../../../parts/chips/chips';
import { Pick } from '../../../parts/fields/pick';
import { DesignList, type DesignsWanted } from '../../../services/designs';

const EVERY = '';

/** Narrows the list of designs: by how far they are, when they were kept, their tags, and where they stand. */
@Component({
  selector: 'au-design-filter',
  imports: [Chips, Pick],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="picks">
      <au-pick label="Where" [options]="places" [value]="wanted().where" (valueChange)="look({ where: $any($event) })" />
      <au-pick
        label="How far"
        [options]="levels"
        [value]="wanted().level ?? ''"
        (valueChange)="look({ level: $any($event || null) })"
      />
      <au-pick label="Kept last" [options]="spans" [value]="span()" (valueChange)="keptIn($any($event))" />
      <au-pick label="In order" [options]="orders" [value]="wanted().order" (valueChange)="look({ order: $any($event) })" />
    </div>
    @if (tags().length > 0) {
      <au-chips label="Tag" [chips]="tags()" (pressed)="look({ tag: wanted().tag === $event ? null : $event })" />
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
      padding: 10px 0 6px;
    }
    .picks {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
      gap: 10px;
    }
    au-chips {
      max-height: 132px;
      overflow: auto;
    }
  `,
})
export class DesignFilter {
  private readonly list = inject(DesignList);
  protected readonly wanted = this.list.wanted;
  protected readonly span = signal<KeptSpan>('any');
  protected readonly spans = keptSpans;
  protected readonly places = [
    { value: 'table', name: 'on the table' },
    { value: 'archive', name: 'archived' },
    { value: 'removed', name: 'recently removed' },
  ];
  protected readonly levels = [
    { value: EVERY, name: 'however far' },
    { value: 'clean', name: 'all clear' },
    { value: 'look', name: 'to be looked at' },
    { value: 'stop', name: 'stopped' },
    { value: 'open', name: 'not planned to its end' },
  ];
  protected readonly orders = [
    { value: 'newest', name: 'newest first' },
    { value: 'name', name: 'by name' },
    { value: 'tag', name: 'by tag' },
  ];
  protected readonly tags = computed(() =>
    this.list.tags().map(({ tag, count }) => ({ id: tag, name: `${tag} ${count}`, on: tag === this.wanted().tag })),
  );

  constructor() {
    this.list.loadTags();
  }

  protected look(change: Partial<DesignsWanted>): void {
    this.list.look(change);
  }

  protected keptIn(span: KeptSpan): void {
    this.span.set(span);
    this.list.look(momentsOf(span, new Date()));
  }
}
