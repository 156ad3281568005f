import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { fromSeam, waveLength, type Area, type Design, type Outline, type PlannedArea } from '@aurantia/core';
import { Choice } from '../../../parts/fields/choice';
import { LevelField } from '../../../parts/fields/level-field';
import { NumberField } from '../../../parts/fields/number-field';
import { Pick } from '../../../parts/fields/pick';
import { LengthPipe } from '../../../parts/fields/unit-pipes';
import { OutlineField } from '../../../parts/fields/outline-field';
import { TeethFields } from './teeth-fields';
import { BUTTONS } from '../../../parts/buttons';

/** Every figure of one area, typed. What can't be is said below; the area stays as it was. */
@Component({
  selector: 'au-area-form',
  imports: [BUTTONS, Choice, LevelField, NumberField, Pick, LengthPipe, OutlineField, TeethFields],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './area-form.html',
  styleUrl: './area-form.scss',
})
export class AreaForm {
  readonly area = input.required<Area>();
  readonly planned = input.required<PlannedArea | null>();
  readonly design = input.required<Design>();
  /** what was said of the change last tried */
  readonly refused = input<string | null>(null);
  readonly changed = output<Partial<Area>>();

  protected readonly cup = computed(() => this.design().cup);
  protected readonly hosts = computed(() => [
    { value: '', name: 'anywhere' },
    ...this.design()
      .areas.filter(({ kind, id }) => kind !== 'base' && kind !== 'grip' && kind !== 'scatter' && id !== this.area().id)
      .map(({ id, name }) => ({ value: id as string, name: `in ${name}` })),
  ]);
  protected readonly dense = [
    { value: '-1', name: 'all to the foot' },
    { value: '-0.6', name: 'denser to the foot' },
    { value: '0', name: 'even' },
    { value: '0.6', name: 'denser to the rim' },
    { value: '1', name: 'all to the rim' },
  ];
  protected readonly hands = [
    { value: 'right' as const, name: 'Right' },
    { value: 'left' as const, name: 'Left' },
  ];
  protected readonly turns = [
    { value: 'upright' as const, name: 'Upright' },
    { value: 'any' as const, name: 'Any way' },
  ];
  protected readonly waveLong = computed(() => {
    const area = this.area();
    return area.kind === 'wave' ? waveLength(area, this.cup()) : 0;
  });
  /** where a motif's middle is from the seam by the tape, mm */
  protected readonly seamAway = computed(() => {
    const area = this.area();
    return area.kind === 'window' ? fromSeam(area, this.cup()) : 0;
  });
  protected readonly denseNow = computed(() => {
    const area = this.area();
    return area.kind === 'scatter' ? String(area.dense) : '0';
  });

  protected set(change: object): void {
    this.changed.emit(change as Partial<Area>);
  }

  protected outlined(outline: Outline): void {
    this.set({ outline });
  }
}
