import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** Stands where a part of the screen couldn't be fetched. */
@Component({
  selector: 'au-unfetched',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p class="wrong-note" role="alert">
    {{ what() }} can’t be fetched while the program isn’t reached. Reload the page once it is.
  </p>`,
})
export class Unfetched {
  readonly what = input('This pane');
}
