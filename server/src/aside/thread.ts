import { Worker } from 'node:worker_threads';
import { ProblemError } from '../http/problem';
import type { Answer, Given, Wish } from './work';

/** ms after which a thread without work is let go: each holds some tens of megabytes. */
const IDLE = 20_000;
/** What a thread starts from: beside this in the bundle; to the sources, as tests run them, the one bundled last. */
const START = import.meta.url.endsWith('.ts') ? '../../dist/aside-worker.js' : './aside-worker.js';

/** What a thread may hold, MB: enough for the longest layout, too little to crowd the machine. */
const MEMORY = { maxOldGenerationSizeMb: 512, maxYoungGenerationSizeMb: 16 };

/** A piece of work that somebody wished for, and how long it may take, ms. */
export interface Job {
  readonly wish: Wish;
  readonly patience: number;
  readonly resolve: (gives: never) => void;
  readonly reject: (error: Error) => void;
}

/** One thread, with the job it is at. */
export class Thread {
  job: Job | null = null;
  private readonly worker: Worker;
  private late: NodeJS.Timeout | undefined;

  constructor(
    private readonly free: () => void,
    private readonly gone: () => void,
  ) {
    this.worker = new Worker(new URL(START, import.meta.url), {
      execArgv: [],
      resourceLimits: MEMORY,
    });
    this.worker.on('message', (answer: Answer) => this.answered(answer));
    this.worker.on('error', (error) => void this.end(error));
    // It holds nobody up who wants to stop the program; said last, for whoever is listened to is waited for again.
    this.worker.unref();
  }

  take(job: Job): void {
    this.job = job;
    clearTimeout(this.late);
    this.late = setTimeout(() => void this.end(tooLong(job.patience)), job.patience);
    this.worker.postMessage(job.wish);
  }

  /** Has it close a workshop's file that it may have read. */
  letGo(file: string): void {
    this.worker.postMessage({ letGo: file } satisfies Given);
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
    if (!job) return;
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
