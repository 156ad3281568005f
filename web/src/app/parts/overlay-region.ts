import { OverlayContainer } from '@angular/cdk/overlay';
import { Injectable } from '@angular/core';

const REGION = { role: 'region', 'aria-label': 'Opened over the page' };

/**
 * What opens over a page (menus, choices, notices) lies beside the page’s own regions: a reader who goes from region to
 * region finds it because it has one too, for as long as anything is open.
 */
@Injectable()
export class OverlayRegion extends OverlayContainer {
  protected override _createContainer(): void {
    super._createContainer();
    const container = this._containerElement;
    if (!container) return;
    new MutationObserver(() => {
      for (const [name, value] of Object.entries(REGION)) {
        if (container.childElementCount > 0) container.setAttribute(name, value);
        else container.removeAttribute(name);
      }
    }).observe(container, { childList: true });
  }
}
