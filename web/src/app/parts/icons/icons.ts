import { inject, Injectable } from '@angular/core';
import { MatIconRegistry } from '@angular/material/icon';
import { DomSanitizer } from '@angular/platform-browser';
import {
  mdiAlertOctagon,
  mdiAlertOutline,
  mdiArrowDown,
  mdiArrowUp,
  mdiCheck,
  mdiClose,
  mdiCupOutline,
  mdiDotsHorizontal,
  mdiDragHorizontalVariant,
  mdiHelp,
  mdiLightbulbOnOutline,
  mdiMagnify,
  mdiMinus,
  mdiPlus,
  mdiTagOutline,
} from '@mdi/js';

/** Every picture that stands for a deed, by what it does. */
const paths = {
  'take out': mdiClose,
  drag: mdiDragHorizontalVariant,
  less: mdiMinus,
  more: mdiPlus,
  up: mdiArrowUp,
  down: mdiArrowDown,
  help: mdiHelp,
  find: mdiMagnify,
  menu: mdiDotsHorizontal,
  cup: mdiCupOutline,
  done: mdiCheck,
  stop: mdiAlertOctagon,
  look: mdiAlertOutline,
  tip: mdiLightbulbOnOutline,
  name: mdiTagOutline,
};
export type IconName = keyof typeof paths;

/** Tells Material of our icons, once. */
@Injectable({ providedIn: 'root' })
export class Icons {
  private readonly registry = inject(MatIconRegistry);
  private readonly sanitizer = inject(DomSanitizer);

  constructor() {
    for (const [name, path] of Object.entries(paths)) {
      const drawing = `<svg viewBox="0 0 24 24"><path d="${path}"/></svg>`;
      this.registry.addSvgIconLiteral(name, this.sanitizer.bypassSecurityTrustHtml(drawing));
    }
  }
}
