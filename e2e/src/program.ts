import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { createInterface } from 'node:readline';

/** The repository, from wherever in it the tests or the bench were started. */
export const ROOT = findUpwards(process.cwd());

function findUpwards(folder: string): string {
  if (existsSync(join(folder, 'server', 'src', 'commands', 'serve.ts'))) return folder;
  if (dirname(folder) === folder) throw new Error('Start this from within the repository.');
  return findUpwards(dirname(folder));
}

/** What Node is told when anybody starts the program. */
const { flags } = JSON.parse(readFileSync(join(ROOT, 'server', 'node-flags.json'), 'utf8')) as { flags: readonly string[] };

/** The real program on a data folder of its own. */
export class Program {
  private child: ChildProcess | null = null;
  address = '';
  /** minutes that the workshop's clock was moved on by */
  private gone = 0;

  constructor(
    private readonly demo: boolean,
    readonly folder = mkdtempSync(join(tmpdir(), 'aurantia-')),
  ) {}

  /**
   * Starts it and waits for the address it prints; a second start keeps the port.
   * @param port where it is to be found; any that is free where none is given
   */
  async start(port = this.address ? new URL(this.address).port : '0'): Promise<string> {
    const words = [...flags, 'server/dist/serve.js', ...(this.demo ? ['--demo'] : [])];
    const child = spawn(process.execPath, words, {
      cwd: ROOT,
      env: {
        ...process.env,
        AURANTIA_DATA: this.folder,
        AURANTIA_PORT: port,
        AURANTIA_CLOCK: 'movable',
        // A loopback address of its own stands for the network: a machine without one is tested as well.
        AURANTIA_SHARE_AT: '127.0.0.2',
        AURANTIA_SHARE_PORT: '0',
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.child = child;
    this.address = await new Promise<string>((resolve, reject) => {
      child.once('exit', (code) => reject(new Error(`The program ended with ${code} before it was ready.`)));
      createInterface({ input: child.stdout }).on('line', (line) => {
        const found = /http:\/\/\S+/.exec(line);
        if (found) resolve(found[0]);
      });
    });
    if (this.gone !== 0) await this.moveClock(this.gone);
    return this.address;
  }

  /** Moves the workshop's clock on, as if so many minutes had gone by; it stays so when the program is started again. */
  async wait(minutes: number): Promise<void> {
    this.gone += minutes;
    await this.moveClock(minutes);
  }

  /** Sends JSON to one of its routes. @throws where it refuses, with what it says */
  async send<Reply>(method: 'PUT' | 'POST', path: string, body: object): Promise<Reply> {
    const headers = { 'content-type': 'application/json' };
    const reply = await fetch(`${this.address}/api/${path}`, { method, headers, body: JSON.stringify(body) });
    if (!reply.ok) throw new Error(`${path}: ${await reply.text()}`);
    return (await reply.json()) as Reply;
  }

  private async moveClock(minutes: number): Promise<void> {
    const reply = await fetch(`${this.address}/api/clock`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ on: minutes }),
    });
    if (!reply.ok) throw new Error(`The clock can’t be moved: ${await reply.text()}`);
  }

  /** The most memory it has held since it was started, MB, threads and all. */
  mostMemory(): number {
    const status = readFileSync(`/proc/${this.child?.pid ?? 'self'}/status`, 'utf8');
    return Number(/VmHWM:\s+(\d+)/.exec(status)?.[1] ?? NaN) / 1024;
  }

  /** Stops it, gracefully or as a power cut would. */
  async stop(signal: 'SIGTERM' | 'SIGKILL' = 'SIGTERM'): Promise<void> {
    const child = this.child;
    this.child = null;
    if (!child || child.exitCode !== null) return;
    await new Promise((resolve) => {
      child.once('exit', resolve);
      child.kill(signal);
    });
  }

  async end(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
