import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { withException, type Finding } from '@aurantia/core';
import { DesignSession } from '../session';
import { TextField } from '../../parts/fields/text-field';
import { Icon } from '../../parts/icons/icon';
import { BUTTONS } from '../../parts/buttons';

/** A finding beside what it is about: what, why, the fix as one press, or why it is meant so. */
@Component({
  selector: 'au-finding',
  imports: [BUTTONS, Icon, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (finding(); as one) {
      <div [class]="'note ' + (one.accepted === null ? one.level : 'left')">
        <p>
          <span class="level"
            ><au-icon [name]="one.accepted === null ? one.level : 'done'" />
            {{ one.accepted === null ? words[one.level] : 'Meant so.' }}</span
          >
          <b>{{ one.says }}</b> {{ one.accepted ?? one.why }}
        </p>
        @if (one.accepted !== null) {
          <button type="button" matButton (click)="leave(null)">Look at it again</button>
        } @else {
          @if (one.fix; as fix) {
            <button type="button" matButton="outlined" (click)="session.fix(fix)">{{ fix.label }}</button>
          }
          @if (asking()) {
            <au-text
              label="Why it is right here, for the card"
              [most]="200"
              value=""
              [refused]="refused()"
              (valueChange)="leave($event)"
            />
          } @else if (one.level !== 'tip') {
            <button type="button" matButton (click)="asking.set(true)">Leave it so…</button>
          }
        }
      </div>
    }
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
    au-text {
      flex: 1 1 240px;
    }
    .left {
      background: var(--sheet);
      border-color: var(--field-edge);
      color: var(--soft);
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
  protected readonly asking = signal(false);
  protected readonly refused = signal<string | null>(null);

  /** Means it so, with a reason that the card prints; null looks at it again. */
  protected leave(reason: string | null): void {
    const finding = this.finding();
    this.refused.set(this.session.change((design) => withException(design, finding, reason?.trim() ?? null)));
    if (!this.refused()) this.asking.set(false);
  }
}
