import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { levelAt, levelHeight, type Cup, type Level, type LevelBy } from '@aurantia/core';
import { NumberField } from './number-field';

/** A height and how it is counted: above the foot, below where the coats end, or as a share of the wall. */
@Component({
  selector: 'au-level',
  imports: [NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (level().by === 'share') {
      <au-number
        [label]="label()"
        measure="percent"
        [value]="share()"
        [refused]="refused()"
        [refusedElsewhere]="true"
        (valueChange)="typed($event)"
      />
    } @else {
      <au-number
        [label]="label()"
        measure="length"
        [value]="mm()"
        [refused]="refused()"
        [refusedElsewhere]="true"
        (valueChange)="typed($event)"
      />
    }
    <select [attr.aria-label]="'How ' + label().toLowerCase() + ' is counted'" (change)="counted($any($event.target).value)">
      <option value="foot" [selected]="level().by === 'foot'">above the foot</option>
      <option value="rim" [selected]="level().by === 'rim'">below coats’ end</option>
      <option value="share" [selected]="level().by === 'share'">of the wall</option>
    </select>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(84px, 1fr) minmax(0, 1.1fr);
      gap: 6px;
      align-items: end;
    }
    select {
      height: 36px;
      min-width: 0;
      border: 1px solid #cdb99e;
      border-radius: 7px;
      background: var(--sheet);
    }
  `,
})
export class LevelField {
  readonly label = input.required<string>();
  readonly level = input.required<Level>();
  readonly cup = input.required<Cup>();
  readonly refused = input<string | null>(null);
  readonly levelChange = output<Level>();
  protected readonly mm = computed(() => {
    const level = this.level();
    return level.by === 'share' ? 0 : level.mm;
  });
  protected readonly share = computed(() => {
    const level = this.level();
    return level.by === 'share' ? level.share : 0;
  });

  protected typed(value: number | null): void {
    const { by } = this.level();
    this.levelChange.emit(by === 'share' ? { by, share: value ?? 0 } : { by, mm: value ?? 0 });
  }

  /** Counted another way, the edge stays where it is on this cup. */
  protected counted(by: string): void {
    this.levelChange.emit(levelAt(levelHeight(this.level(), this.cup()), by as LevelBy, this.cup()));
  }
}
