import { Observable } from 'rxjs';
import { workerFailed } from '../workers/new-worker';

/** What a worker says where it can't do what it is asked. */
interface Refusal {
  readonly sentence: string;
}

/**
 * Asks a worker of its own, again and again answered until an answer is the last; fails with the sentence that the worker says,
 * or with what its failure is to a maker. Unsubscribing ends the work.
 */
export function askWorker<Reply extends object>(
  make: () => Worker,
  request: unknown,
  isLast: (reply: Exclude<Reply, Refusal>) => boolean,
): Observable<Exclude<Reply, Refusal>> {
  return new Observable((subscriber) => {
    const worker = make();
    worker.onmessage = ({ data }: MessageEvent<Exclude<Reply, Refusal> | Refusal>) => {
      if ('sentence' in data) return subscriber.error(new Error(data.sentence));
      subscriber.next(data);
      if (isLast(data)) subscriber.complete();
    };
    worker.onerror = (event) => subscriber.error(new Error(workerFailed(event)));
    worker.postMessage(request);
    return () => worker.terminate();
  });
}
