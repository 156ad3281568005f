import { stopped, Threads } from './threads';
import type { Work, WorkKind } from './work';

/** How long a piece of work may take, ms. */
const PATIENCE = 30_000;

/** Work about one workshop that would hold up every other answer (plans, pages, pictures), done in threads aside. */
export class Aside {
  private readonly threads: Threads;
  private closed = false;

  /**
   * @param file the workshop's, which the threads read for themselves
   * @param shared threads that other workshops have their work done in as well; its own where none are given
   */
  constructor(
    private readonly file: string,
    private readonly shared: Threads | null = null,
  ) {
    this.threads = shared ?? new Threads();
  }

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
      const wish = { file: this.file, kind, asked };
      this.threads.take({ wish, patience, resolve, reject }, later);
    });
  }

  /** Gives up what is under way, and ends its own threads; those it shares stay for the others. */
  async close(): Promise<void> {
    this.closed = true;
    await this.threads.giveUp(this.file);
    if (!this.shared) await this.threads.close();
  }
}
