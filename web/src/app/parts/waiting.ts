import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { MatProgressBar } from '@angular/material/progress-bar';

/** Something is on its way. Said only once it takes longer than a glance, so that what comes at once doesn't flash. */
@Component({
  selector: 'au-waiting',
  imports: [MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div role="status">
      <mat-progress-bar mode="indeterminate" aria-hidden="true" />
      <p class="soft">{{ says() }}</p>
    </div>
  `,
  styles: `
    div {
      display: grid;
      gap: 8px;
      max-width: 320px;
      padding: 24px 0;
      animation: au-appear 0s 0.5s both;
    }
    @keyframes au-appear {
      from {
        visibility: hidden;
      }
    }
  `,
})
export class Waiting {
  readonly says = input.required<string>();
}
