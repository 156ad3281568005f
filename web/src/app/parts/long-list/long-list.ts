import { CdkVirtualScrollViewport, ScrollingModule } from '@angular/cdk/scrolling';
import type { ListRange } from '@angular/cdk/collections';
import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  contentChild,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  input,
  output,
  signal,
  TemplateRef,
  viewChild,
  type AfterViewInit,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';

/** Part of a long list under a title of its own, or none. */
export interface LongSection<Item> {
  readonly title: string | null;
  readonly items: readonly Item[];
}

type Row<Item> =
  | { readonly key: string; readonly title: string; readonly count: number }
  | { readonly key: string; readonly items: readonly Item[]; readonly last: boolean };

/** How much larger than usual text is, by the browser's own setting. */
const textScale = (): number => (Number.parseFloat(getComputedStyle(document.documentElement).fontSize) || 16) / 16;

/**
 * A list of any length in rows of one height: only what is seen is there, so thousands scroll like a dozen. It lies in
 * whatever pane around it scrolls (`cdkVirtualScrollingElement`).
 */
@Component({
  selector: 'au-long-list',
  imports: [NgTemplateOutlet, ScrollingModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <cdk-virtual-scroll-viewport [itemSize]="tall()" [minBufferPx]="400" [maxBufferPx]="900">
      <ng-container *cdkVirtualFor="let row of rows(); trackBy: keyOf">
        @if ('title' in row) {
          <div class="title" [style.height.px]="tall()">
            <h2>
              {{ row.title }} <small>{{ row.count }}</small>
            </h2>
          </div>
        } @else {
          <ul
            class="row"
            [class.last]="row.last"
            [attr.aria-label]="label()"
            [style.height.px]="tall()"
            [style.grid-template-columns]="'repeat(' + across() + ', minmax(0, 1fr))'"
          >
            @for (item of row.items; track $index) {
              <li><ng-container [ngTemplateOutlet]="template()" [ngTemplateOutletContext]="{ $implicit: item }" /></li>
            }
          </ul>
        }
      </ng-container>
    </cdk-virtual-scroll-viewport>
  `,
  styles: `
    :host {
      display: block;
    }
    .row,
    .title {
      display: grid;
      align-items: end;
      box-sizing: border-box;
    }
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    .title {
      padding-bottom: 6px;
    }
    h2 small {
      font: 400 0.875rem var(--text);
      color: var(--soft);
    }
    .row {
      align-items: var(--long-align, end);
      column-gap: var(--long-gap, 0);
    }
    /* The viewport takes a list's own border away. */
    .last {
      box-shadow: inset 0 -7px 0 var(--wood);
    }
  `,
})
export class LongList<Item> implements AfterViewInit {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly away = inject(DestroyRef);
  readonly sections = input.required<readonly LongSection<Item>[]>();
  readonly label = input.required<string>();
  /** px */
  readonly rowHeight = input.required<number>();
  /** the same where the browser's text is larger than usual: rows grow with what they hold */
  protected readonly tall = computed(() => Math.round(this.rowHeight() * textScale()));
  /** px an item is wide at least */
  readonly least = input.required<number>();
  /** fewer items than fit beside each other share the width when set */
  readonly spread = input(false);
  /** the numbers of the first and the last item that are there, counted through all sections */
  readonly shown = output<{ readonly first: number; readonly last: number }>();
  protected readonly template = contentChild.required<TemplateRef<{ $implicit: Item }>>(TemplateRef);
  private readonly viewport = viewChild.required(CdkVirtualScrollViewport);

  private readonly range = signal<ListRange>({ start: 0, end: 0 });
  private readonly width = signal(0);
  protected readonly across = computed(() => {
    const fit = Math.max(1, Math.floor(this.width() / this.least()));
    const most = Math.max(1, ...this.sections().map(({ items }) => items.length));
    return this.spread() ? Math.min(fit, most) : fit;
  });
  protected readonly rows = computed(() => {
    const across = this.across();
    return this.sections().flatMap(({ title, items }, section): Row<Item>[] => [
      ...(title === null ? [] : [{ key: `${section}`, title, count: items.length }]),
      ...Array.from({ length: Math.ceil(items.length / across) }, (_, i) => ({
        key: `${section}/${i}`,
        items: items.slice(i * across, (i + 1) * across),
        // On a shelf a board lies under each section that has a title.
        last: title !== null && (i + 1) * across >= items.length,
      })),
    ]);
  });
  protected readonly keyOf = (_: number, { key }: Row<Item>): string => key;

  constructor() {
    // Another list in the same places: whoever fetches what is in sight has to know.
    effect(() => {
      const { start, end } = this.range();
      this.tell(start, end);
    });
  }

  ngAfterViewInit(): void {
    const watch = new ResizeObserver(([entry]) => {
      this.width.set(entry.contentRect.width);
      this.viewport().checkViewportSize();
    });
    watch.observe(this.host.nativeElement);
    this.away.onDestroy(() => watch.disconnect());
    this.viewport()
      .renderedRangeStream.pipe(takeUntilDestroyed(this.away))
      .subscribe((range) => this.range.set(range));
  }

  private tell(start: number, end: number): void {
    if (end === 0) return;
    const count = (rows: readonly Row<Item>[]) => rows.reduce((sum, row) => sum + ('items' in row ? row.items.length : 0), 0);
    const first = count(this.rows().slice(0, start));
    this.shown.emit({ first, last: first + count(this.rows().slice(start, end)) - 1 });
  }
}
