/** The worker that drops flakes; apart, so that the bundler sees its address as it wants it. */
export const newFlakeWorker = (): Worker => new Worker(new URL('./flakes.worker', import.meta.url), { type: 'module' });
