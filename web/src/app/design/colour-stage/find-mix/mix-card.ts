import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { countText, percentText, type FoundMix } from '@aurantia/core';
import { AmountPipe } from '../../../parts/fields/unit-pipes';
import { BUTTONS } from '../../../parts/buttons';

/** A found mix: what it is made of, the colour it has beside the one wanted, and how near nothing else comes. */
@Component({
  selector: 'au-mix-card',
  imports: [BUTTONS, AmountPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="pair" role="img" [attr.aria-label]="'Wanted ' + target() + ', this mix ' + mix().colour">
      <i [style.background]="target()"></i><i [style.background]="mix().colour"></i>
    </div>
    <div class="what">
      <b>{{ jars() }}: {{ mix().words.word }}</b>
      <small
        >{{ mix().difference.toFixed(2) }} apart, {{ mix().words.says }}{{ mix().proven ? '' : '; still searching' }}.
        {{ proof() }}</small
      >
      <div class="bar" aria-hidden="true">
        @for (part of mix().parts; track part.item) {
          <span [style.flex-grow]="part.ml" [style.background]="part.colour"></span>
        }
      </div>
      <span class="parts">
        @for (part of mix().parts; track part.item; let last = $last) {
          <span
            >{{ part.name }} <b>{{ part.ml | amount: part.gramsPerMl }}</b>{{ last ? '' : ' · ' }}</span
          >
        }
      </span>
    </div>
    <button type="button" matButton="outlined" (click)="used.emit()" [attr.aria-label]="'Use it: the mix of ' + jars()">
      Use it
    </button>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: 56px minmax(0, 1fr) auto;
      gap: 12px;
      align-items: center;
      padding: 10px 0;
      border-bottom: 1px solid var(--line);
    }
    .pair {
      display: grid;
      grid-template-columns: 1fr 1fr;
      height: 56px;
      border-radius: 8px;
      overflow: hidden;
      border: 1px solid var(--swatch-edge);
    }
    .what {
      display: grid;
      gap: 3px;
    }
    small {
      color: var(--soft);
      font-size: 0.7812rem;
    }
    .bar {
      display: flex;
      height: 10px;
      border-radius: 3px;
      overflow: hidden;
    }
    .bar span {
      flex-basis: 0;
    }
    .parts {
      font-size: 0.8125rem;
    }
  `,
})
export class MixCard {
  readonly mix = input.required<FoundMix>();
  readonly target = input.required<string>();
  /** it was looked for as the cheapest within a difference, not as the nearest */
  readonly cheapest = input(false);
  /** what 100 cm² costs as the blend is now; null when nobody knows */
  readonly now = input<number | null>(null);
  readonly used = output();
  protected readonly jars = computed(() => countText(this.mix().size, 'jar'));
  protected readonly proof = computed(() => {
    const { proven, bound, difference } = this.mix();
    if (this.cheapest()) return this.cost();
    if (!proven) return '';
    if (difference - bound < 0.005) return 'Nothing else comes nearer.';
    return bound < 0.005 ? 'Nothing comes nearer by more than the eye sees.' : `Nothing comes nearer than ${bound.toFixed(2)}.`;
  });

  private cost(): string {
    const { coverCost, proven } = this.mix();
    if (coverCost === null) return '';
    const now = this.now();
    const saved = now === null ? '' : `, ${percentText(1 - coverCost / now)} less than now`;
    return `Costs ${coverCost.toFixed(2)} for 100 cm², one flake deep${saved}.${proven ? ' Nothing so near costs less.' : ''}`;
  }
}
