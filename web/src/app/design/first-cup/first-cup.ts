import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { Plan } from '@aurantia/core';
import { firstCupSteps } from '@aurantia/core/guide';
import { BUTTONS } from '../../parts/buttons';
import { Icon } from '../../parts/icons/icon';
import { FirstCupLesson } from '../../services/lesson';

/** The lesson of a first cup, in a strip over the work: the step in hand, what to do, and the way there. */
@Component({
  selector: 'au-first-cup',
  imports: [BUTTONS, Icon, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol aria-label="A first cup, in six steps">
      @for (step of steps(); track step.stage) {
        <li [class]="step.state" [attr.aria-current]="step.state === 'now' ? 'step' : null">
          @if (step.state === 'done') {
            <au-icon name="done" />
          } @else {
            {{ $index + 1 }}
          }
          <span class="unseen"
            >{{ step.title }}{{ step.state === 'done' ? ', done' : step.state === 'skipped' ? ', passed over' : '' }}</span
          >
        </li>
      }
    </ol>
    @if (now(); as step) {
      <p role="status">
        <b>{{ step.title }}.</b> {{ step.says }}
      </p>
      @if (step.stage !== stage()) {
        <a matButton="filled" [routerLink]="['/designs', design(), step.stage]">Go there</a>
      }
      <button type="button" matButton (click)="lesson.skip(step.stage)">Pass over</button>
      <button type="button" matButton (click)="lesson.leave()">Leave the lesson</button>
    } @else {
      <p role="status"><b>That was a first cup.</b> From its card anyone can make it; every change shows on it at once.</p>
      <button type="button" matButton="outlined" (click)="lesson.leave()">Done</button>
    }
  `,
  styleUrl: './first-cup.scss',
})
export class FirstCup {
  protected readonly lesson = inject(FirstCupLesson);
  readonly plan = input.required<Plan>();
  readonly design = input.required<string>();
  /** the stage that is shown, by its path */
  readonly stage = input.required<string>();
  private readonly way = computed(() => {
    const lesson = this.lesson.now();
    const steps = firstCupSteps(this.plan(), lesson?.printed ?? false);
    return steps.map((step) => ({ ...step, over: step.done || (lesson?.skipped.includes(step.stage) ?? false) }));
  });
  protected readonly now = computed(() => this.way().find(({ over }) => !over) ?? null);
  protected readonly steps = computed(() =>
    this.way().map((step) => ({
      ...step,
      state: step.done ? 'done' : step.stage === this.now()?.stage ? 'now' : step.over ? 'skipped' : 'to come',
    })),
  );

  constructor() {
    effect(() => {
      if (this.stage() === 'card') this.lesson.printed();
    });
  }
}
