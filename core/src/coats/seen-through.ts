import type { Spectrum } from '../colour';
import type { Settings } from '../design';
import type { Ground } from './ground';
import type { Light } from './light';

/** Whether a place is told as it is seen through the resin's gloss. */
export const throughGloss = ({ glossy }: Pick<Ground, 'glossy'>, { gloss }: Pick<Settings, 'gloss'>): boolean => gloss && glossy;

/** What is seen of a place: as it is, or through the gloss over it where the workshop wants colours told so. */
export const seenThrough = (
  ground: Pick<Ground, 'glossy' | 'spectrum'>,
  settings: Pick<Settings, 'gloss'>,
  light: Pick<Light, 'gloss'>,
): Spectrum => (throughGloss(ground, settings) ? light.gloss(ground.spectrum) : ground.spectrum);
