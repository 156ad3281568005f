import { availableParallelism } from 'node:os';
import { ProblemError } from '../http/problem';
import { Thread, type Job } from './thread';

/** More threads than this would hold more memory than they save time. */
const MOST = 2;

/**
 * The few threads that work is done in, whichever workshop it is about. What somebody waits for goes before what is only
 * got ready; what takes too long is stopped, and its thread with it.
 */
export class Threads {
  private waiting: Job[] = [];
  private ready: Job[] = [];
  private readonly threads = new Set<Thread>();

  constructor(private readonly most = Math.min(MOST, availableParallelism())) {}

  /** @param later only got ready: it goes after whatever somebody waits for */
  take(job: Job, later: boolean): void {
    (later ? this.ready : this.waiting).push(job);
    this.next();
  }

  /** Gives up what is under way or wished for about a workshop's file, and closes it. */
  async giveUp(file: string): Promise<void> {
    const about = (job: Job | null) => job?.wish.file === file;
    const dropped = [...this.waiting, ...this.ready].filter(about);
    this.waiting = this.waiting.filter((job) => !about(job));
    this.ready = this.ready.filter((job) => !about(job));
    for (const job of dropped) job.reject(stopped());
    const threads = [...this.threads];
    for (const thread of threads) if (!about(thread.job)) thread.letGo(file);
    await Promise.all(threads.filter(({ job }) => about(job)).map((thread) => thread.end(stopped())));
  }

  /** Ends all threads. */
  async close(): Promise<void> {
    await Promise.all([...this.threads].map((thread) => thread.end(stopped())));
  }

  private next(): void {
    const free = [...this.threads].find((thread) => thread.job === null);
    // What is only got ready never takes the last thread from what somebody may come and wait for.
    const busy = [...this.threads].filter((thread) => thread.job !== null).length;
    if (busy >= this.most) return;
    const job = this.waiting.shift() ?? (busy < Math.max(1, this.most - 1) ? this.ready.shift() : undefined);
    if (!job) return;
    (free ?? this.begun()).take(job);
    this.next();
  }

  private begun(): Thread {
    const thread = new Thread(
      () => this.next(),
      () => this.threads.delete(thread),
    );
    this.threads.add(thread);
    return thread;
  }
}

export const stopped = (): ProblemError => new ProblemError(503, 'Stopping', 'The program is being stopped. Start it again.');
