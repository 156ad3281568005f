import type { Make } from '@aurantia/core/make';
import type { Asking } from '../sharing/audience';

/** A make as whoever asks may see it: at the bench nobody needs to know what jars cost. */
export const shownTo = (asking: Asking, make: Make): Make =>
  asking === 'bench' ? { ...make, shelf: make.shelf.map((item) => ({ ...item, paid: null })) } : make;
