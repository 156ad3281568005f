import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatDialogModule } from '@angular/material/dialog';
import { faultsOf, settingsSchema, type Settings } from '@aurantia/core';
import { NumberField } from '../../parts/fields/number-field';
import { WorkshopMemory } from '../../services/workshop';

/** Units, measuring steps, the room and the schools: kept at once, for every design. */
@Component({
  selector: 'au-workshop-dialog',
  imports: [MatDialogModule, MatButtonToggleModule, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './workshop-dialog.html',
  styleUrl: './workshop-dialog.scss',
})
export class WorkshopDialog {
  private readonly memory = inject(WorkshopMemory);
  protected readonly settings = this.memory.settings;
  protected readonly refused = signal<{ field: string; sentence: string } | null>(null);

  protected units(change: Partial<Settings['units']>): void {
    this.memory.changeSettings({ units: { ...this.settings().units, ...change } });
  }

  protected set(change: Partial<Settings>): void {
    const read = settingsSchema.safeParse({ ...this.settings(), ...change });
    if (read.success) {
      this.refused.set(null);
      this.memory.changeSettings(change);
      return;
    }
    const [fault] = faultsOf(read.error);
    this.refused.set({ field: fault.path, sentence: fault.sentence });
  }

  protected why(field: keyof Settings): string | null {
    const refused = this.refused();
    return refused?.field === field ? refused.sentence : null;
  }
}
