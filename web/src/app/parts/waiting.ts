import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { MatProgressBar } from '@angular/material/progress-bar';

/**
 * Something is on its way. Said only once it takes longer than a glance, so that what comes at once doesn't flash;
 * nor does the first page wait for the bar itself.
 */
@Component({
  selector: 'au-waiting',
  imports: [MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div role="status">
      @defer (on immediate) {
        <mat-progress-bar mode="indeterminate" aria-hidden="true" />
      } @placeholder {
        <span class="bar"></span>
      }
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
    /* as high as what comes in its place, so that nothing moves */
    .bar {
      height: 4px;
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
