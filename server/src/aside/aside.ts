import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import { ProblemError } from '../http/problem';
import type { Answer, Wish, Work, WorkKind } from './work';

/** How long a piece of work may take, ms. */
const PATIENCE = 30_000;
/** ms after which a thread without work is let go: each holds some tens of megabytes. */
const IDLE = 20_000;
/** What a thread starts from: beside this in the bundle; to the sources, as tests run them, the one bundled last. */
const START = import.meta.url.endsWith('.ts') ? '../../dist/aside-worker.js' : './aside-worker.js';
/** More threads than this would hold more memory than they save time. */
const MOST_THREADS = 2;

/** What a thread may hold, MB: enough for the longest layout, too little to crowd the machine. */
const MEMORY = { maxOldGenerationSizeMb: 512, maxYoungGenerationSizeMb: 16 };

interface Job {
  readonly wish: Wish;
  readonly patience: number;
  readonly resolve: (gives: never) => void;
  readonly reject: (error: Error) => void;
}

/**
 * Work that would hold up every other answer (plans, pages, pictures), done in a few threads of their own. What somebody
 * waits for goes before what is only got ready; what takes too long is stopped, and its thread with it.
 */
export class Aside {
  private readonly waiting: Job[] = [];
  private readonly ready: Job[] = [];
  private readonly threads = new Set<Thread>();
  private number = 0;
  private closed = false;

  /** @param file the workshop's, which the threads read for themselves */
  constructor(
    private readonly file: string,
    private readonly most = Math.min(MOST_THREADS, availableParallelism()),
  ) {}

  /**
   * @param later only got ready: it goes after whatever somebody waits for
   * @throws ProblemError 503 when it takes too long; what the work itself throws
   */
  do<Kind extends WorkKind>(
    kind: Kind,
    asked: Work[Kind]['asked'],
    { later = false, patience = PATIENCE } = {},
  ): Promise<Work[Kind]['gives']> {
    return new Promise((resolve, reject) => {
      if (this.closed) return reject(stopped());
      this.number += 1;
      const job: Job = { wish: { number: this.number, kind, asked }, patience, resolve, reject };
      (later ? this.ready : this.waiting).push(job);
      this.next();
    });
  }

  /** Ends all threads; work under way is given up. */
  async close(): Promise<void> {
    this.closed = true;
    await Promise.all([...this.threads].map((thread) => thread.end(stopped())));
    for (const job of [...this.waiting.splice(0), ...this.ready.splice(0)]) job.reject(stopped());
  }

  private next(): void {
    if (this.closed) return;
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
      this.file,
      () => this.next(),
      () => this.threads.delete(thread),
    );
    this.threads.add(thread);
    return thread;
  }
}

const stopped = (): ProblemError => new ProblemError(503, 'Stopping', 'The program is being stopped. Start it again.');

/** One thread, with the job it is at. */
class Thread {
  job: Job | null = null;
  private readonly worker: Worker;
  private late: NodeJS.Timeout | undefined;

  constructor(
    file: string,
    private readonly free: () => void,
    private readonly gone: () => void,
  ) {
    this.worker = new Worker(new URL(START, import.meta.url), {
      workerData: { file },
      execArgv: [],
      resourceLimits: MEMORY,
    });
    // It holds nobody up who wants to stop the program.
    this.worker.unref();
    this.worker.on('message', (answer: Answer) => this.answered(answer));
    this.worker.on('error', (error) => void this.end(error));
  }

  take(job: Job): void {
    this.job = job;
    clearTimeout(this.late);
    this.late = setTimeout(() => void this.end(tooLong(job.patience)), job.patience);
    this.worker.postMessage(job.wish);
  }

  /** Ends it; the job it is at fails with this error. */
  async end(error: Error | null): Promise<void> {
    clearTimeout(this.late);
    this.gone();
    const { job } = this;
    this.job = null;
    await this.worker.terminate();
    if (job && error) job.reject(error);
    this.free();
  }

  private answered(answer: Answer): void {
    const { job } = this;
    if (job?.wish.number !== answer.number) return;
    clearTimeout(this.late);
    this.job = null;
    this.late = setTimeout(() => void this.end(null), IDLE);
    this.late.unref();
    if ('gives' in answer) job.resolve(answer.gives as never);
    else if (answer.problem) job.reject(new ProblemError(answer.problem.status, answer.problem.title, answer.problem.detail));
    else job.reject(new Error(answer.reason));
    this.free();
  }
}

const tooLong = (patience: number): ProblemError =>
  new ProblemError(
    503,
    'Takes too long',
    `This design takes over ${patience / 1000} s to work out, so it was stopped. Take fewer motifs, or plainer outlines.`,
  );
