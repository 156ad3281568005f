import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output, signal } from '@angular/core';
import {
  cupMaterials,
  cupSchema,
  cupKinds,
  cupShapes,
  faultsOf,
  measuringSteps,
  startingHandle,
  stationsForShape,
  withAnotherStation,
  withReading,
  type Cup,
  type CupMaterial,
  type CupShape,
  type Handle,
  type Fault,
} from '@aurantia/core';
import { NumberField } from '../fields/number-field';
import { Pick } from '../fields/pick';
import { TapeDrawing } from './tape-drawing';
import { Tick } from '../fields/tick';
import { TextField } from '../fields/text-field';
import { BUTTONS } from '../buttons';
import { Chips } from '../chips/chips';
import { Icon } from '../icons/icon';

/** The measuring sheet: what the tape reads at two to six heights. A faulty reading gets its sentence; the cup stays. */
@Component({
  selector: 'au-cup-sheet',
  imports: [BUTTONS, Chips, Icon, NumberField, Pick, TapeDrawing, Tick, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cup-sheet.html',
  styleUrl: './cup-sheet.scss',
})
export class CupSheet {
  readonly cup = input.required<Cup>();
  /** what the owner says of the cup it was last handed */
  readonly refused = input<string | null>(null);
  readonly cupChange = output<Cup>();

  protected readonly materials = cupMaterials.map((material) => ({ value: material, name: material }));
  protected readonly draft = linkedSignal(this.cup);
  protected readonly shapes = computed(() =>
    cupShapes.map((shape) => ({ id: shape, name: cupKinds[shape].name, on: shape === this.draft().shape })),
  );
  protected readonly hint = computed(() => cupKinds[this.draft().shape].hint);
  protected readonly faults = computed<readonly Fault[]>(() => {
    const read = cupSchema.safeParse(this.draft());
    return read.success ? [] : faultsOf(read.error);
  });
  protected readonly rows = computed(() => {
    const { shape, stations } = this.draft();
    const names = measuringSteps(shape, stations.length).map((step) => step.name);
    return stations.map((station, index) => ({
      ...station,
      index,
      name: names[index],
      between: index > 0 && index < stations.length - 1,
    }));
  });
  protected readonly canAdd = computed(
    () => this.draft().stations.length < cupKinds[this.draft().shape].most && this.faults().length === 0,
  );

  protected readonly active = signal<number | null>(null);
  /** what to do with the tape for the reading in hand */
  protected readonly tape = computed(() => {
    const { shape, stations } = this.draft();
    const step = measuringSteps(shape, stations.length).at(this.active() ?? 0);
    return step ? `${(this.active() ?? 0) + 1}, ${step.name}: ${step.tape}` : '';
  });

  protected why(path: string): string | null {
    return this.faults().find((fault) => fault.path === path)?.sentence ?? null;
  }

  protected offer(change: Partial<Cup>): void {
    this.put({ ...this.draft(), ...change });
  }

  protected reading(index: number, field: 'height' | 'circumference', value: number | null): void {
    this.put(withReading(this.draft(), index, { [field]: value ?? Number.NaN }));
  }

  protected reshape(shape: CupShape): void {
    const before = this.draft();
    const handle = shape === 'mug' ? (before.handle ?? startingHandle(before)) : shape === 'sleeve' ? null : before.handle;
    const recess = shape === 'sleeve' ? null : before.recess;
    this.put({ ...before, shape, handle, recess, stations: [...stationsForShape(before.stations, shape)] });
  }

  protected recessed(on: boolean): void {
    this.offer({
      recess: on ? { depth: 3, diameter: Math.round((this.draft().stations[0].circumference / Math.PI) * 0.8) } : null,
    });
  }

  protected handled(on: boolean): void {
    this.offer({ handle: on ? startingHandle(this.draft()) : null });
  }

  protected handleChange(change: Partial<Handle>): void {
    const { handle } = this.draft();
    if (handle) this.offer({ handle: { ...handle, ...change } });
  }

  protected material(material: string): void {
    this.offer({ material: material as CupMaterial });
  }

  protected add(): void {
    this.offer({ stations: [...withAnotherStation(this.draft().stations)] });
  }

  protected takeOut(index: number): void {
    this.offer({ stations: this.draft().stations.filter((_, at) => at !== index) });
  }

  private put(cup: Cup): void {
    this.draft.set(cup);
    if (this.faults().length === 0) this.cupChange.emit(cup);
  }
}
