import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { causesOf, troubles } from '@aurantia/core/trouble';
import { Pick } from '../../parts/fields/pick';
import { WorkshopMemory } from '../../services/workshop';
import { OpenDesign } from '../open-design';

/** Something went wrong: what is seen, and what it comes from in this design, with the cure and the prevention. */
@Component({
  selector: 'au-trouble-finder',
  imports: [Pick],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3 id="trouble">Trouble, worked backwards</h3>
    <au-pick label="What do you see?" [options]="options" [value]="name()" (valueChange)="name.set($event)" />
    @if (causes().length > 0) {
      <ol aria-labelledby="trouble">
        @for (cause of causes(); track cause.says) {
          <li [class.here]="cause.because">
            <b>{{ cause.says }}</b>
            @if (cause.because) {
              <p class="because">In this design: {{ cause.because }}</p>
            }
            <p><span class="soft">Now:</span> {{ cause.cure }}</p>
            <p><span class="soft">Next time:</span> {{ cause.prevent }}</p>
          </li>
        }
      </ol>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
      padding-top: 10px;
      border-top: 1px solid var(--line);
    }
    au-pick {
      max-width: 420px;
    }
    ol {
      display: grid;
      gap: 10px;
      margin: 0;
      padding-left: 20px;
    }
    .because {
      color: var(--warn);
      font-weight: 600;
    }
  `,
})
export class TroubleFinder {
  private readonly memory = inject(WorkshopMemory);
  private readonly open = inject(OpenDesign);
  protected readonly options = troubles.map(({ name }) => ({ value: name, name }));
  protected readonly name = signal('');
  protected readonly causes = computed(() => {
    const trouble = troubles.find(({ name }) => name === this.name());
    const facts = { design: this.open.design(), plan: this.open.plan(), workshop: this.memory.workshop() };
    return trouble ? causesOf(trouble, facts) : [];
  });
}
