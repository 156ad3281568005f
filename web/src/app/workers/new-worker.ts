import type { CrewMessage } from './flake-request';

/* The workers, apart, so that the bundler sees their addresses as it wants them. */

/** More hands than this would wait for each other. */
const MOST_HANDS = 8;

const flakeWorker = (): Worker => new Worker(new URL('./flakes.worker', import.meta.url), { type: 'module' });

/** Drops flakes: one worker that the page speaks to, and as many helpers as the machine has cores left. */
export function newFlakeWorker(): FlakeCrew {
  const foreman = flakeWorker();
  const hands = Math.min(MOST_HANDS, navigator.hardwareConcurrency || 1);
  const helpers = Array.from({ length: hands - 1 }, flakeWorker);
  const channels = helpers.map(() => new MessageChannel());
  helpers.forEach((helper, i) => helper.postMessage({ helps: channels[i].port1 } satisfies CrewMessage, [channels[i].port1]));
  const ports = channels.map(({ port2 }) => port2);
  foreman.postMessage({ helpers: ports } satisfies CrewMessage, ports);
  return {
    set onmessage(told: FlakeCrew['onmessage']) {
      foreman.onmessage = told;
    },
    set onerror(failed: FlakeCrew['onerror']) {
      for (const one of [foreman, ...helpers]) one.onerror = failed;
    },
    postMessage: (wish) => foreman.postMessage(wish),
    terminate: () => [foreman, ...helpers].forEach((one) => one.terminate()),
  };
}

/** Workers that make one picture together, spoken to as if they were one. */
export interface FlakeCrew {
  onmessage: ((event: MessageEvent) => void) | null;
  onerror: ((event: ErrorEvent) => void) | null;
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
