import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatDialog, MatDialogModule } from '@angular/material/dialog';
import { faultsOf, settingsSchema, type DeviceAt, type DeviceKind, type Settings, type Units } from '@aurantia/core';
import { Choice } from '../../parts/fields/choice';
import { NumberField } from '../../parts/fields/number-field';
import { Asking } from '../../services/asking';
import { RoomLight, type LightWish } from '../../services/room-light';
import { WorkshopMemory } from '../../services/workshop';
import { Switch } from '../../parts/fields/switch';
import { Word } from '../../parts/word/word';
import { TextField } from '../../parts/fields/text-field';
import { BUTTONS } from '../../parts/buttons';

/** How a device is reached. */
type Reached = 'none' | 'simulated' | 'port';
const USUAL_PORT: Readonly<Record<DeviceKind, number>> = { scale: 4351, room: 4352, turner: 4353 };

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
  protected readonly devices: readonly { readonly kind: DeviceKind; readonly name: string }[] = [
    { kind: 'scale', name: 'Scale' },
    { kind: 'room', name: 'Room sensor' },
    { kind: 'turner', name: 'Turner’s sensor' },
  ];
  protected readonly reached = named<Reached>({ none: 'none', simulated: 'simulated', port: 'on a port' });
  protected readonly refused = signal<{ field: string; sentence: string } | null>(null);

  private readonly dialogs = inject(MatDialog);
  /** devices are let in at the workshop's own computer alone */
  protected readonly own = inject(Asking).who === 'here';

  /** Where makers disagree, for all designs that don't go their own way. */
  protected async openWays(): Promise<void> {
    const { SchoolsDialog } = await import('../schools-dialog/schools-dialog');
    this.dialogs.open(SchoolsDialog, { width: '680px', maxWidth: '96vw', ariaLabel: 'Ways of this workshop' });
  }

  protected async openSharing(): Promise<void> {
    const { SharingDialog } = await import('../sharing-dialog/sharing-dialog');
    this.dialogs.closeAll();
    this.dialogs.open(SharingDialog, { width: '620px', maxWidth: '96vw', ariaLabel: 'A phone or tablet' });
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
    this.refused.set({ field: fault.path.split('.')[0], sentence: fault.sentence });
  }

  protected reachOf(kind: DeviceKind): Reached {
    const at = this.settings().devices?.[kind] ?? 'none';
    return typeof at === 'number' ? 'port' : at;
  }

  protected portOf(kind: DeviceKind): number | null {
    const at = this.settings().devices?.[kind];
    return typeof at === 'number' ? at : null;
  }

  protected reach(kind: DeviceKind, reached: Reached): void {
    this.place(kind, reached === 'port' ? USUAL_PORT[kind] : reached);
  }

  protected place(kind: DeviceKind, at: DeviceAt): void {
    this.set({ devices: { ...this.settings().devices, [kind]: at } });
  }

  protected why(field: keyof Settings): string | null {
    const refused = this.refused();
    return refused?.field === field ? refused.sentence : null;
  }
}

function named<Value extends string>(names: Record<Value, string>): readonly { value: Value; name: string }[] {
  return (Object.keys(names) as Value[]).map((value) => ({ value, name: names[value] }));
}
