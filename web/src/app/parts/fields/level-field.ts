import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { levelAt, levelHeight, type Cup, type Level, type LevelBy } from '@aurantia/core';
import { NumberField } from './number-field';
import { Pick } from './pick';

const ways = [
  { value: 'foot', name: 'above the foot' },
  { value: 'rim', name: 'below coats’ end' },
  { value: 'share', name: 'of the wall' },
] as const satisfies readonly { value: LevelBy; name: string }[];

/** A height and how it is counted: above the foot, below where the coats end, or as a share of the wall. */
@Component({
  selector: 'au-level',
  imports: [NumberField, Pick],
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
    <au-pick
      [bare]="true"
      [label]="'How ' + label().toLowerCase() + ' is counted'"
      [options]="ways"
      [value]="level().by"
      (valueChange)="counted($event)"
    />
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(84px, 1fr) minmax(0, 1.1fr);
      gap: 6px;
      align-items: end;
    }
  `,
})
export class LevelField {
  readonly label = input.required<string>();
  readonly level = input.required<Level>();
  readonly cup = input.required<Cup>();
  readonly refused = input<string | null>(null);
  readonly levelChange = output<Level>();
  protected readonly ways = ways;
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
