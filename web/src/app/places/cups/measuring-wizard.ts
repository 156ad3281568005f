import { ChangeDetectionStrategy, ChangeDetectorRef, Component, computed, inject, output, signal } from '@angular/core';
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
import { STEPS } from '../../parts/steps';
import { Icon } from '../../parts/icons/icon';
import { BUTTONS } from '../../parts/buttons';

/** Takes a maker round a cup with the tape, one reading after the other, and keeps nothing before the end. */
@Component({
  selector: 'au-measuring-wizard',
  imports: [BUTTONS, STEPS, Icon, NumberField, TapeDrawing, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './measuring-wizard.html',
  styleUrl: './measuring-wizard.scss',
})
export class MeasuringWizard {
  readonly measured = output<Cup>();
  readonly closed = output();
  private readonly changes = inject(ChangeDetectorRef);

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
  /** the furthest step that was come to: what lies before can be gone back to, what lies behind can't be skipped to */
  protected readonly reached = signal(0);
  /** the reading in hand, for the drawing */
  protected readonly index = computed(() => (this.step() > 0 && this.step() < this.last() ? this.step() - 1 : null));
  private readonly faults = computed(() => {
    const read = cupSchema.safeParse(this.cup());
    return read.success ? [] : faultsOf(read.error);
  });
  protected readonly plausible = computed(() => volumeCheck(enclosedVolume(this.cup().stations), this.cup().volume));

  protected pick(shape: CupShape): void {
    const known = typicalCups.find((cup) => cup.shape === shape);
    const stations = known?.stations ?? stationsForShape(startingCup.stations, shape);
    const cup: Cup = { ...startingCup, shape, lipStrip: known?.lipStrip ?? startingCup.lipStrip, stations: [...stations] };
    this.cup.set({ ...cup, handle: shape === 'mug' ? startingHandle(cup) : null });
    this.reached.set(0);
    this.come(1);
  }

  private come(step: number): void {
    this.reached.update((reached) => Math.max(reached, step));
    // A stepper goes only to a step it has, past steps it knows to be done: it is told so first.
    this.changes.detectChanges();
    this.step.set(step);
  }

  /** What looks wrong among the readings taken up to a step. */
  protected wrongAt(step: number): string | null {
    const taken = this.faults().find(({ path }) => {
      const [, at] = /^stations\[(\d+)\]/.exec(path) ?? [];
      return step === this.last() || (at !== undefined && Number(at) < step);
    });
    return taken?.sentence ?? null;
  }

  protected read(index: number, change: Partial<Station>): void {
    this.cup.set(withReading(this.cup(), index, change));
  }

  protected change(change: Partial<Cup>): void {
    this.cup.set({ ...this.cup(), ...change });
  }

  protected go(by: 1 | -1): void {
    this.come(Math.max(0, Math.min(this.last(), this.step() + by)));
  }

  protected keep(): void {
    if (this.faults().length === 0) this.measured.emit(this.cup());
  }
}
