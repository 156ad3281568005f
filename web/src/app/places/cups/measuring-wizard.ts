import { ChangeDetectionStrategy, Component, computed, output, signal } from '@angular/core';
import {
  cupKinds,
  cupSchema,
  cupShapes,
  enclosedVolume,
  faultsOf,
  measuringSteps,
  startingCup,
  startingHandle,
  stationsForShape,
  typicalCups,
  volumeCheck,
  withReading,
  type Cup,
  type CupShape,
  type Station,
} from '@aurantia/core';
import { TapeDrawing } from '../../parts/cup-sheet/tape-drawing';
import { NumberField } from '../../parts/fields/number-field';
import { TextField } from '../../parts/fields/text-field';

/** Takes a maker round a cup with the tape, one reading after the other, and keeps nothing before the end. */
@Component({
  selector: 'au-measuring-wizard',
  imports: [NumberField, TapeDrawing, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './measuring-wizard.html',
  styleUrl: './measuring-wizard.scss',
})
export class MeasuringWizard {
  readonly measured = output<Cup>();
  readonly closed = output();

  protected readonly cup = signal<Cup>(startingCup);
  /** 0 the kind, then a step a reading, then the rest */
  protected readonly step = signal(0);
  protected readonly kinds = cupShapes.map((shape) => ({
    shape,
    name: cupKinds[shape].name,
    hint: cupKinds[shape].hint,
    stations: (typicalCups.find((cup) => cup.shape === shape) ?? startingCup).stations,
  }));
  protected readonly steps = computed(() => measuringSteps(this.cup().shape, this.cup().stations.length));
  protected readonly last = computed(() => this.steps().length + 1);
  protected readonly index = computed(() => this.step() - 1);
  protected readonly reading = computed(() => this.steps().at(this.index()) ?? null);
  protected readonly station = computed<Station>(
    () => this.cup().stations[Math.min(this.index(), this.cup().stations.length - 1)],
  );
  private readonly faults = computed(() => {
    const read = cupSchema.safeParse(this.cup());
    return read.success ? [] : faultsOf(read.error);
  });
  /** the first reading that looks wrong among those taken so far */
  protected readonly wrong = computed(() => {
    const taken = this.faults().filter(({ path }) => {
      const [, at] = /^stations\[(\d+)\]/.exec(path) ?? [];
      return this.step() === this.last() || (at !== undefined && Number(at) <= this.index());
    });
    return taken.at(0)?.sentence ?? null;
  });
  protected readonly plausible = computed(() => volumeCheck(enclosedVolume(this.cup().stations), this.cup().volume));

  protected pick(shape: CupShape): void {
    const known = typicalCups.find((cup) => cup.shape === shape);
    const stations = known?.stations ?? stationsForShape(startingCup.stations, shape);
    const cup: Cup = { ...startingCup, shape, lipStrip: known?.lipStrip ?? startingCup.lipStrip, stations: [...stations] };
    this.cup.set({ ...cup, handle: shape === 'mug' ? startingHandle(cup) : null });
    this.step.set(1);
  }

  protected read(change: Partial<Station>): void {
    this.cup.set(withReading(this.cup(), this.index(), change));
  }

  protected change(change: Partial<Cup>): void {
    this.cup.set({ ...this.cup(), ...change });
  }

  protected go(by: 1 | -1): void {
    this.step.update((step) => Math.max(0, Math.min(this.last(), step + by)));
  }

  protected keep(): void {
    if (this.faults().length === 0) this.measured.emit(this.cup());
  }
}
