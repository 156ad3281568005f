import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatDialog, MatDialogModule } from '@angular/material/dialog';
import { faultsOf, settingsSchema, type Settings, type Units } from '@aurantia/core';
import { Choice } from '../../parts/fields/choice';
import { NumberField } from '../../parts/fields/number-field';
import { RoomLight, type LightWish } from '../../services/room-light';
import { WorkshopMemory } from '../../services/workshop';
import { Switch } from '../../parts/fields/switch';
import { Word } from '../../parts/word/word';
import { TextField } from '../../parts/fields/text-field';
import { BUTTONS } from '../../parts/buttons';

/** Units, measuring steps, the room and the schools: kept at once, for every design. */
@Component({
  selector: 'au-workshop-dialog',
  imports: [BUTTONS, MatDialogModule, Choice, NumberField, Switch, TextField, Word],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './workshop-dialog.html',
  styleUrl: './workshop-dialog.scss',
})
export class WorkshopDialog {
  private readonly memory = inject(WorkshopMemory);
  protected readonly settings = this.memory.settings;
  protected readonly lengths = named<Units['length']>({ mm: 'mm', inch: 'inches', 'inch fraction': 'in, fractions' });
  protected readonly amounts = named<Units['amount']>({ ml: 'ml', teaspoon: '5 ml spoons', gram: 'grams' });
  protected readonly degrees = named<Units['temperature']>({ celsius: '°C', fahrenheit: '°F' });
  protected readonly light = inject(RoomLight);
  protected readonly lights = named<LightWish>({ day: 'day', evening: 'evening', computer: 'as the computer' });
  protected readonly papers = named<Settings['paper']>({ A4: 'A4', Letter: 'Letter' });
  protected readonly refused = signal<{ field: string; sentence: string } | null>(null);

  private readonly dialogs = inject(MatDialog);

  /** Where makers disagree, for all designs that don't go their own way. */
  protected async openWays(): Promise<void> {
    const { SchoolsDialog } = await import('../schools-dialog/schools-dialog');
    this.dialogs.open(SchoolsDialog, { width: '680px', maxWidth: '96vw', ariaLabel: 'Ways of this workshop' });
  }

  protected async openKeptSafe(): Promise<void> {
    const { KeptSafeDialog } = await import('../kept-safe/kept-safe');
    this.dialogs.closeAll();
    this.dialogs.open(KeptSafeDialog, { width: '620px', ariaLabel: 'Kept safe' });
  }

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

function named<Value extends string>(names: Record<Value, string>): readonly { value: Value; name: string }[] {
  return (Object.keys(names) as Value[]).map((value) => ({ value, name: names[value] }));
}
