import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';
import { MatTabLink, MatTabNav, MatTabNavPanel } from '@angular/material/tabs';

/** Panes of one place, one in sight; what is shown stands in the `mat-tab-nav-panel` given. */
@Component({
  selector: 'au-tabs',
  imports: [MatTabLink, MatTabNav],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav mat-tab-nav-bar [mat-stretch-tabs]="false" [attr.aria-label]="label()" [tabPanel]="panel()">
      @for (one of tabs(); track one.tab) {
        <button type="button" mat-tab-link [active]="one.tab === shown()" (click)="shown.set(one.tab)">{{ one.name }}</button>
      }
    </nav>
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
      max-width: 100%;
    }
    .mat-mdc-tab-link {
      min-width: 0;
      padding: 0 12px;
      border: 0;
      background: none;
      cursor: pointer;
    }
  `,
})
export class Tabs<Tab extends string> {
  readonly label = input.required<string>();
  readonly tabs = input.required<readonly { readonly tab: Tab; readonly name: string }[]>();
  readonly shown = model.required<Tab>();
  readonly panel = input.required<MatTabNavPanel>();
}

/** Tabs and the panel that stands below them. */
export const TABS = [Tabs, MatTabNavPanel] as const;
