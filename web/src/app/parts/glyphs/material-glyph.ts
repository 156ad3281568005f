import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ShelfGroup } from '@aurantia/core';

const outlines: Record<ShelfGroup, string> = {
  glitter: 'M6 2h12l6 10-6 10H6L0 12z',
  ink: 'M12 1c5 7 8 10 8 14a8 8 0 0 1-16 0c0-4 3-7 8-14z',
  pearl: 'M12 1a11 11 0 1 1 0 22a11 11 0 1 1 0-22z',
  paint: 'M1 5h22v14H1z',
  film: 'M3 2h13l5 5v15H3z',
  resin: 'M5 2h14l-2 20H7z',
  glue: 'M2 17c4-10 6 6 10-2s6 4 10-6v9c0 3-2 4-4 4H6c-2 0-4-2-4-5z',
};

/** A material by its shape, so that colour is never the only sign. Its name always stands beside it. */
@Component({
  selector: 'au-glyph',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg viewBox="-1 -1 26 26" [attr.width]="size()" [attr.height]="size()" aria-hidden="true">
    <path [attr.d]="outline()" [attr.fill]="colour()" stroke="#2a1b2e" stroke-opacity=".28" stroke-width="1" />
  </svg>`,
  styles: `
    :host {
      display: inline-flex;
    }
  `,
})
export class MaterialGlyph {
  readonly kind = input.required<ShelfGroup>();
  readonly colour = input('#cdb99e');
  readonly size = input(24);
  protected readonly outline = computed(() => outlines[this.kind()]);
}
