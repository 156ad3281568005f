import { deviceKinds, readDeviceLine, type DeviceAt, type DeviceKind, type Devices, type Settings } from '@aurantia/core';
import { DevicePort } from './device-port';
import { Simulator } from './simulator';

type Told<Kind extends DeviceKind> = Devices[Kind];
interface Line {
  readonly at: DeviceAt;
  readonly port: DevicePort;
  readonly simulator: Simulator | null;
}

/** ms after which a device that says nothing any more counts as lost. */
const SILENT: Readonly<Record<DeviceKind, number>> = { scale: 2000, room: 15_000, turner: 5000 };

const NOTHING: Devices = {
  scale: { reach: 'none', simulated: false, says: null },
  room: { reach: 'none', simulated: false, says: null },
  turner: { reach: 'none', simulated: false, says: null },
};

/** Scale, room sensor and turner beside the cup: what they say now, and who hears of it. Without any, everything works by typing. */
export class DevicesHere {
  private told: Devices = NOTHING;
  private readonly lines = new Map<DeviceKind, Line>();
  private readonly silence = new Map<DeviceKind, NodeJS.Timeout>();
  private readonly listeners = new Set<(devices: Devices) => void>();

  /** @param now the workshop's clock, by which a simulated room's day goes */
  constructor(private readonly now: () => number) {}

  /** What they say at this moment. */
  get all(): Devices {
    return this.told;
  }

  /** Goes by what the workshop says stands there; devices that stay as they were aren't asked anew. */
  goBy({ devices = {} }: Pick<Settings, 'devices'>): void {
    for (const kind of deviceKinds) {
      const at = devices[kind] ?? 'none';
      const line = this.lines.get(kind);
      if ((line?.at ?? 'none') === at) continue;
      this.drop(kind);
      if (at !== 'none') this.reach(kind, at);
    }
  }

  /** @returns whether the device took it: a line to what is lost goes nowhere */
  say(kind: DeviceKind, line: string): boolean {
    return this.lines.get(kind)?.port.say(line) ?? false;
  }

  /** A command that only a simulator understands. @returns whether there is one, and it did */
  simulate(kind: DeviceKind, command: string): boolean {
    return this.lines.get(kind)?.simulator?.told(command) ?? false;
  }

  /** @returns what ends it */
  listen(told: (devices: Devices) => void): () => void {
    this.listeners.add(told);
    return () => void this.listeners.delete(told);
  }

  close(): void {
    for (const kind of deviceKinds) this.drop(kind);
  }

  private reach(kind: DeviceKind, at: DeviceAt): void {
    const simulator = at === 'simulated' ? new Simulator(kind, this.now) : null;
    this.tell(kind, { reach: 'looking', simulated: simulator !== null, says: null });
    const port = new DevicePort(() => (simulator ? simulator.listen() : Promise.resolve(Number(at))), {
      line: (line) => this.heard(kind, line),
      reached: (there) => {
        if (!there && this.told[kind].reach !== 'looking') this.lost(kind);
      },
    });
    this.lines.set(kind, { at, port, simulator });
  }

  private drop(kind: DeviceKind): void {
    const line = this.lines.get(kind);
    line?.port.close();
    line?.simulator?.close();
    this.lines.delete(kind);
    clearTimeout(this.silence.get(kind));
    if (line) this.tell(kind, NOTHING[kind]);
  }

  private heard(kind: DeviceKind, line: string): void {
    const says = readDeviceLine(kind, line);
    if (!says) return;
    clearTimeout(this.silence.get(kind));
    this.silence.set(
      kind,
      setTimeout(() => this.lost(kind), SILENT[kind]),
    );
    const before = this.told[kind];
    if (before.reach === 'here' && JSON.stringify(before.says) === JSON.stringify(says)) return;
    this.tell(kind, { ...before, reach: 'here', says } as Told<typeof kind>);
  }

  private lost(kind: DeviceKind): void {
    clearTimeout(this.silence.get(kind));
    if (this.told[kind].reach !== 'lost') this.tell(kind, { ...this.told[kind], reach: 'lost', says: null });
  }

  private tell<Kind extends DeviceKind>(kind: Kind, told: Told<Kind>): void {
    this.told = { ...this.told, [kind]: told };
    for (const listener of this.listeners) listener(this.told);
  }
}
