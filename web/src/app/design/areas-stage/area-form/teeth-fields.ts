import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { EdgeLine, Teeth } from '@aurantia/core';
import { NumberField } from '../../../parts/fields/number-field';
import { Pick } from '../../../parts/fields/pick';

const lines = [
  { value: 'plain', name: 'straight' },
  { value: 'zigzag', name: 'zigzag' },
  { value: 'scallop', name: 'scallops' },
  { value: 'wave', name: 'waves' },
];

/** How an edge is cut: straight, or with whole teeth once round. */
@Component({
  selector: 'au-teeth',
  imports: [NumberField, Pick],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <au-pick [label]="label()" [options]="lines" [value]="teeth()?.line ?? 'plain'" (valueChange)="cut($event)" />
    @if (teeth(); as one) {
      <au-number label="Teeth" [value]="one.count" (valueChange)="change({ count: $event ?? 0 })" />
      <au-number label="Deep" measure="length" [value]="one.depth" (valueChange)="change({ depth: $event ?? 0 })" />
      <au-number label="Turned" unitName="°" [value]="one.shift" (valueChange)="change({ shift: $event ?? 0 })" />
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(98px, 1.7fr) minmax(42px, 0.8fr) minmax(72px, 1fr) minmax(54px, 0.9fr);
      gap: 6px;
      align-items: end;
    }
  `,
})
export class TeethFields {
  readonly label = input.required<string>();
  readonly teeth = input.required<Teeth | null>();
  readonly teethChange = output<Teeth | null>();
  protected readonly lines = lines;

  protected cut(line: string): void {
    const before = this.teeth() ?? { count: 12, depth: 10, shift: 0 };
    this.teethChange.emit(line === 'plain' ? null : { ...before, line: line as EdgeLine });
  }

  protected change(change: Partial<Teeth>): void {
    const teeth = this.teeth();
    if (teeth) this.teethChange.emit({ ...teeth, ...change });
  }
}
