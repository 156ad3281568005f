import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatTabLink, MatTabNav, MatTabNavPanel } from '@angular/material/tabs';
import { RouterLink, RouterLinkActive } from '@angular/router';

/** The pages of the week, each at its own address. */
@Component({
  selector: 'au-week-tabs',
  imports: [MatTabLink, MatTabNav, MatTabNavPanel, RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav mat-tab-nav-bar [mat-stretch-tabs]="false" aria-label="Week, orders, stock and money" [tabPanel]="panel">
      @for (one of pages; track one.path) {
        <a
          mat-tab-link
          [routerLink]="one.path"
          routerLinkActive
          #here="routerLinkActive"
          [routerLinkActiveOptions]="{ exact: true }"
          [active]="here.isActive"
          >{{ one.name }}</a
        >
      }
    </nav>
    <mat-tab-nav-panel #panel><ng-content /></mat-tab-nav-panel>
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    .mat-mdc-tab-link {
      min-width: 0;
      padding: 0 14px;
    }
  `,
})
export class WeekTabs {
  protected readonly pages = [
    { path: '/week', name: 'The week' },
    { path: '/week/orders', name: 'Orders' },
    { path: '/week/stock', name: 'Stock' },
    { path: '/week/money', name: 'Money' },
  ] as const;
}
