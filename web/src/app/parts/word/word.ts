import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { MatTooltip } from '@angular/material/tooltip';
import { glossary, type Term } from '@aurantia/core/glossary';

/** A word that explains itself to whoever rests on it, comes to it by key, or taps it. */
@Component({
  selector: 'au-word',
  imports: [MatTooltip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<dfn tabindex="0" [matTooltip]="means()" #tip="matTooltip" (click)="tip.show()" (keydown.enter)="tip.show()"
    ><ng-content
  /></dfn>`,
  styles: `
    dfn {
      font-style: inherit;
      cursor: help;
      text-decoration: underline dotted 1.5px;
      text-underline-offset: 3px;
    }
  `,
})
export class Word {
  readonly of = input.required<Term>();
  protected readonly means = computed(() => glossary[this.of()]);
}
