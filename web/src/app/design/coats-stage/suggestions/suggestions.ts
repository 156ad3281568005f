import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { suggestedOtherwise, type Fix } from '@aurantia/core';
import { v7 } from 'uuid';
import { BUTTONS } from '../../../parts/buttons';
import { WorkshopMemory } from '../../../services/workshop';
import { OpenDesign } from '../../open-design';
import { DesignSession } from '../../session';

/** What a suggested plan would do otherwise; each taken alone, the maker’s own kept until it is. */
@Component({
  selector: 'au-suggestions',
  imports: [BUTTONS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header>
      <h3>What I’d do otherwise</h3>
      <button type="button" matButton (click)="closed.emit()">Close</button>
    </header>
    @if (otherwise().length === 0) {
      <p class="soft">Nothing. These coats do all that I’d suggest for these areas, mixes and ways.</p>
    } @else {
      <p class="soft">Yours stays as it is until you take one. What you laid on by hand isn’t touched.</p>
      <ul>
        @for (one of otherwise(); track one.says) {
          <li>
            <span>{{ one.says }}</span>
            <button
              type="button"
              matButton="outlined"
              [attr.aria-label]="one.fix.label + ': ' + one.says"
              (click)="take(one.fix)"
            >
              {{ one.fix.label }}
            </button>
          </li>
        }
      </ul>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      padding: 12px 14px;
      border: 1px solid var(--line);
      border-radius: 8px;
      background: var(--sheet);
    }
    header,
    li {
      display: flex;
      align-items: center;
      gap: 10px;
    }
    h3,
    li span {
      flex: 1;
    }
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li + li {
      margin-top: 6px;
    }
  `,
})
export class Suggestions {
  private readonly session = inject(DesignSession);
  private readonly memory = inject(WorkshopMemory);
  private readonly design = inject(OpenDesign).design;
  readonly closed = output();
  protected readonly otherwise = computed(() => suggestedOtherwise(this.design(), this.memory.workshop(), v7));

  protected take(fix: Fix): void {
    this.session.fix(fix);
  }
}
