import { labOf, reflectanceOf } from '../colour';
import type { ExpectedPlace } from '../cup-photo';
import { planOf } from '../plan';
import type { Make } from './make';

/**
 * What each place of a made cup should look like once all coats are on. A photo shows what resin lies over through its gloss,
 * so that is how it is expected, whatever colours are told as elsewhere.
 */
export function expectedPlaces({ design, settings, shelf }: Make): readonly ExpectedPlace[] {
  const plan = planOf(design, { settings: { ...settings, gloss: true }, shelf });
  const seen = plan.coats.at(-1)?.seen ?? {};
  return plan.places.map(({ id, name, region }) => ({
    id,
    name,
    region,
    expected: labOf(reflectanceOf(seen[id] ?? plan.bareWall)),
  }));
}
