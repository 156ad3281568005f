import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { withoutPractice, type Design, type Plan } from '@aurantia/core';
import { scoreOf } from '@aurantia/core/practice';
import { BUTTONS } from '../../parts/buttons';
import { DesignSession } from '../session';

/** How far a practice is, over the work: the score, what is left once asked for, and the way out. */
@Component({
  selector: 'au-practice-note',
  imports: [BUTTONS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (score(); as one) {
      <section aria-label="Practice" [class.done]="one.done">
        <b class="figure">{{ one.right }} of {{ one.of }}</b>
        <p role="status">
          {{ one.says }}
          @if (told() && one.left.length > 0) {
            <span class="left">Still wrong: {{ one.left.join(', ') }}.</span>
          }
        </p>
        @if (one.left.length > 0) {
          <button type="button" matButton="outlined" (click)="told.set(!told())">
            {{ told() ? 'Hide what is left' : 'Tell me what is left' }}
          </button>
        }
        <button type="button" matButton (click)="end()">End the practice</button>
      </section>
    }
  `,
  styles: `
    section {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 8px 16px;
      padding: 10px 24px;
      background: var(--peel-wash);
    }
    .done {
      background: var(--leaf-wash);
    }
    .figure {
      font: 700 1.25rem var(--title);
      color: var(--peel);
    }
    .done .figure {
      color: var(--leaf);
    }
    p {
      flex: 1 1 300px;
    }
    .left {
      display: block;
    }
  `,
})
export class PracticeNote {
  private readonly session = inject(DesignSession);
  readonly design = input.required<Design>();
  readonly plan = input.required<Plan>();
  protected readonly told = signal(false);
  protected readonly score = computed(() => scoreOf(this.design(), this.plan()));

  protected end(): void {
    this.session.change(withoutPractice);
  }
}
