import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import type { Fix, Otherwise } from '@aurantia/core';
import { catchError, debounceTime, EMPTY, switchMap, type Observable } from 'rxjs';
import { BUTTONS } from '../../../parts/buttons';
import { Waiting } from '../../../parts/waiting';
import { Notices } from '../../../services/notices';
import { SuggestedCoats } from '../../../services/suggested-coats';
import { WorkshopMemory } from '../../../services/workshop';
import { OpenDesign } from '../../open-design';
import { DesignSession } from '../../session';

/** ms that a change rests before it is thought over. */
const PAUSE = 120;

/** What a suggested plan would do otherwise; each taken alone, the maker’s own kept until it is. */
@Component({
  selector: 'au-suggestions',
  imports: [BUTTONS, Waiting],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header>
      <h3>What I’d do otherwise</h3>
      <button type="button" matButton (click)="closed.emit()">Close</button>
    </header>
    @if (otherwise() === null) {
      <au-waiting says="Thinking it over…" />
    } @else if (otherwise()?.length === 0) {
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
  private readonly suggested = inject(SuggestedCoats);
  private readonly notices = inject(Notices);
  private readonly design = inject(OpenDesign).design;
  readonly closed = output();
  /** null until it was thought over; while a change is, what was thought before stays */
  protected readonly otherwise = signal<readonly Otherwise[] | null>(null);

  constructor() {
    toObservable(computed(() => ({ design: this.design(), workshop: this.memory.workshop() })))
      .pipe(
        debounceTime(PAUSE),
        switchMap(({ design }) => this.suggested.otherwise(design).pipe(catchError((error: unknown) => this.failed(error)))),
        takeUntilDestroyed(),
      )
      .subscribe((otherwise) => this.otherwise.set(otherwise));
  }

  private failed(error: unknown): Observable<readonly Otherwise[]> {
    this.notices.failed(error);
    return EMPTY;
  }

  protected take(fix: Fix): void {
    this.session.fix(fix);
  }
}
