import { OverlayContainer } from '@angular/cdk/overlay';
import { Injectable } from '@angular/core';

/**
 * What opens over a page (menus, choices, notices) lies beside the page’s own regions: a reader who goes from region to
 * region finds it because it has one too.
 */
@Injectable()
export class OverlayRegion extends OverlayContainer {
  protected override _createContainer(): void {
    super._createContainer();
    this._containerElement?.setAttribute('role', 'region');
    this._containerElement?.setAttribute('aria-label', 'Opened over the page');
  }
}
