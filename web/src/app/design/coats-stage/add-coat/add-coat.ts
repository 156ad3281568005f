import { ChangeDetectionStrategy, Component, output } from '@angular/core';
import { MENUS } from '../../../parts/menus';
import { coatKinds, type CoatKindName } from '@aurantia/core';
import { BUTTONS } from '../../../parts/buttons';

const titles = {
  under: 'Under the glitter',
  masks: 'Masks',
  flakes: 'Glue and flakes',
  closing: 'Closing over',
  colour: 'Colour and ink',
  'laid on': 'Laid on',
  end: 'At the end',
} as const;

/** Every kind of coat to add, by what it serves. */
@Component({
  selector: 'au-add-coat',
  imports: [BUTTONS, MENUS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" matButton="filled" [matMenuTriggerFor]="menu">Add a coat</button>
    <mat-menu #menu="matMenu" class="kinds">
      <div class="groups">
        @for (group of groups; track group.title) {
          <div>
            <span class="group" aria-hidden="true">{{ group.title }}</span>
            @for (one of group.kinds; track one.kind) {
              <button mat-menu-item (click)="chosen.emit(one.kind)">{{ one.name }}</button>
            }
          </div>
        }
      </div>
    </mat-menu>
  `,
})
export class AddCoat {
  readonly chosen = output<CoatKindName>();
  protected readonly groups = (Object.keys(titles) as (keyof typeof titles)[]).map((group) => ({
    title: titles[group],
    kinds: Object.values(coatKinds).filter((one) => one.group === group),
  }));
}
