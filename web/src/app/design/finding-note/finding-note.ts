import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { Finding } from '@aurantia/core';
import { DesignSession } from '../session';
import { Icon } from '../../parts/icons/icon';
import { BUTTONS } from '../../parts/buttons';

/** A finding beside what it is about: what, why, and the fix as one press. */
@Component({
  selector: 'au-finding',
  imports: [BUTTONS, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div [class]="'note ' + finding().level">
      <p>
        <span class="level"><au-icon [name]="finding().level" /> {{ words[finding().level] }}</span> <b>{{ finding().says }}</b>
        {{ finding().why }}
      </p>
      @if (finding().fix; as fix) {
        <button type="button" matButton="outlined" (click)="session.fix(fix)">{{ fix.label }}</button>
      }
    </div>
  `,
  styles: `
    .note {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 8px 14px;
      padding: 10px 14px;
      border-left: 4px solid;
      border-radius: 3px;
    }
    p {
      flex: 1 1 260px;
    }
    .level {
      font-weight: 700;
      margin-right: 4px;
    }
    .stop {
      background: var(--stop-wash);
      border-color: var(--stop);
    }
    .stop .level {
      color: var(--stop);
    }
    .look {
      background: var(--warn-wash);
      border-color: var(--warn-mark);
    }
    .look .level {
      color: var(--warn);
    }
    .tip {
      background: var(--leaf-wash);
      border-color: var(--leaf);
    }
    .tip .level {
      color: var(--leaf);
    }
  `,
})
export class FindingNote {
  protected readonly session = inject(DesignSession);
  readonly finding = input.required<Finding>();
  protected readonly words = { stop: 'Stop.', look: 'Look.', tip: 'Tip.' } as const;
}
