/* The workers, apart, so that the bundler sees their addresses as it wants them. */

/** Drops flakes. */
export const newFlakeWorker = (): Worker => new Worker(new URL('./flakes.worker', import.meta.url), { type: 'module' });

/** Splits a cup into its areas. */
export const newLayoutWorker = (): Worker => new Worker(new URL('./layout.worker', import.meta.url), { type: 'module' });

/** Sorts the colours of a photo. */
export const newPhotoColoursWorker = (): Worker =>
  new Worker(new URL('./photo-colours.worker', import.meta.url), { type: 'module' });

/** Searches the shelf for a mix. */
export const newMixesWorker = (): Worker => new Worker(new URL('./mixes.worker', import.meta.url), { type: 'module' });

/** What a worker's failure is to a maker; one that couldn't even be loaded says nothing of itself. */
export const workerFailed = ({ message }: ErrorEvent): string =>
  message
    ? `This can’t be worked out (${message}). Change something, or reload the page.`
    : 'A part of the program couldn’t be loaded. See that Aurantia still runs, and try again.';
