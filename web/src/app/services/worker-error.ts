/** Why a worker has no answer, as a sentence with a way out. */
export class WorkerError extends Error {
  override readonly name = 'WorkerError';
}
