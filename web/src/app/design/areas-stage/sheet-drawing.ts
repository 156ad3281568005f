import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { linePath, type TemplateSheet } from '@aurantia/core/templates';

/** A flat sheet as it is cut: dark for the knife, dashed for folds, green for marks. */
@Component({
  selector: 'au-sheet-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'0 0 ' + sheet().width + ' ' + sheet().height" role="img" [attr.aria-label]="spoken()">
      @for (line of lines(); track $index) {
        <path [class]="line.role" [attr.d]="line.path" />
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      width: 100%;
      max-height: 430px;
      background: var(--sheet);
      border: 1px solid var(--line);
      border-radius: 6px;
    }
    path {
      fill: none;
      vector-effect: non-scaling-stroke;
      stroke-width: 1.4;
    }
    .cut {
      stroke: var(--ink);
    }
    .fold {
      stroke: var(--plum);
      stroke-dasharray: 6 4;
    }
    .mark {
      stroke: var(--leaf);
    }
  `,
})
export class SheetDrawing {
  readonly sheet = input.required<TemplateSheet>();
  readonly spoken = input.required<string>();
  protected readonly lines = computed(() => this.sheet().lines.map((line) => ({ role: line.role, path: linePath(line) })));
}
