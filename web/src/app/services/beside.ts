import { computed, inject, Injectable, signal } from '@angular/core';
import { devicesSchema, type DeviceKind, type Devices } from '@aurantia/core';
import { Api } from './api';
import { Notices } from './notices';

/** Scale, room sensor and turner beside the cup, as the bench hears of them. */
@Injectable({ providedIn: 'root' })
export class Beside {
  private readonly api = inject(Api);
  private readonly notices = inject(Notices);

  /** null until they are heard of */
  readonly devices = signal<Devices | null>(null);
  readonly scale = computed(() => this.devices()?.scale ?? null);
  /** whether anything can be weighed on it now */
  readonly weighs = computed(() => this.scale()?.reach === 'here');

  tare(): void {
    this.send('devices/tare', {});
  }

  /** What hands would do at a device that isn't there. */
  simulate(device: DeviceKind, command: string): void {
    this.send('devices/simulated', { device, command });
  }

  private send(path: string, body: object): void {
    this.api.post(path, body, devicesSchema).subscribe({
      next: (devices) => this.devices.set(devices),
      error: (error: unknown) => this.notices.failed(error),
    });
  }
}
