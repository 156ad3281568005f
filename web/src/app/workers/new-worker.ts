import type { CrewMessage, CrewWish, FlakeReply } from './flake-request';

/* The workers, apart, so that the bundler sees their addresses as it wants them. */

const flakeWorker = (): Worker => new Worker(new URL('./flakes.worker', import.meta.url), { type: 'module' });

/** Drops flakes: one worker that the page speaks to, and the helpers that it wants, begun when it wants them. */
export function newFlakeWorker(): FlakeCrew {
  const foreman = flakeWorker();
  const helpers: Worker[] = [];
  const tell = (message: CrewMessage) => foreman.postMessage(message);
  const begin = ({ begin: end }: CrewWish) => {
    const helper = flakeWorker();
    const place = helpers.push(helper) - 1;
    // Its rows are done without it.
    helper.onerror = () => tell({ lost: place });
    helper.postMessage({ helps: end } satisfies CrewMessage, [end]);
  };
  tell({ cores: navigator.hardwareConcurrency || 1 });
  return {
    set onmessage(told: (event: MessageEvent<FlakeReply>) => void) {
      foreman.onmessage = (event: MessageEvent<FlakeReply | CrewWish>) =>
        'begin' in event.data ? begin(event.data) : told(event as MessageEvent<FlakeReply>);
    },
    set onerror(failed: (event: ErrorEvent) => void) {
      foreman.onerror = failed;
    },
    postMessage: (wish) => foreman.postMessage(wish),
    terminate: () => [foreman, ...helpers].forEach((one) => one.terminate()),
  };
}

/** Workers that make one picture together, spoken to as if they were one. */
export interface FlakeCrew {
  onmessage: (event: MessageEvent<FlakeReply>) => void;
  onerror: (event: ErrorEvent) => void;
  postMessage(wish: unknown): void;
  terminate(): void;
}

/** Paints cups where there is no graphics card. */
export const newPainterWorker = (): Worker => new Worker(new URL('./painter.worker', import.meta.url), { type: 'module' });

/** Draws walls. */
export const newDrawingsWorker = (): Worker => new Worker(new URL('./drawings.worker', import.meta.url), { type: 'module' });

/** Splits a cup into its areas. */
export const newLayoutWorker = (): Worker => new Worker(new URL('./layout.worker', import.meta.url), { type: 'module' });

/** Sorts the colours of a photo. */
export const newPhotoColoursWorker = (): Worker =>
  new Worker(new URL('./photo-colours.worker', import.meta.url), { type: 'module' });

/** Plans coats. */
export const newSuggestionsWorker = (): Worker =>
  new Worker(new URL('./suggestions.worker', import.meta.url), { type: 'module' });

/** Searches the shelf for a mix. */
export const newMixesWorker = (): Worker => new Worker(new URL('./mixes.worker', import.meta.url), { type: 'module' });

/** Lets strings of colour run. */
export const newStringsWorker = (): Worker => new Worker(new URL('./strings.worker', import.meta.url), { type: 'module' });

/** Reads a cup off a photo. */
export const newCupPhotoWorker = (): Worker => new Worker(new URL('./cup-photo.worker', import.meta.url), { type: 'module' });

/** Finds a cup and a card in a photo. */
export const newPhotoEdgesWorker = (): Worker => new Worker(new URL('./photo-edges.worker', import.meta.url), { type: 'module' });

/** Puts a design on another cup. */
export const newRefitWorker = (): Worker => new Worker(new URL('./refit.worker', import.meta.url), { type: 'module' });

/** Plans the rest of a half-made cup. */
export const newFromHereWorker = (): Worker => new Worker(new URL('./from-here.worker', import.meta.url), { type: 'module' });

/** Plans weeks. */
export const newWeekWorker = (): Worker => new Worker(new URL('./week.worker', import.meta.url), { type: 'module' });

/** Counts what cups cost. */
export const newCostsWorker = (): Worker => new Worker(new URL('./costs.worker', import.meta.url), { type: 'module' });

/** What a worker's failure is to a maker; one that couldn't even be loaded says nothing of itself. */
export const workerFailed = ({ message }: ErrorEvent): string =>
  message
    ? `This can’t be worked out (${message}). Change something, or reload the page.`
    : 'A part of the program couldn’t be loaded. See that Aurantia still runs, and try again.';
