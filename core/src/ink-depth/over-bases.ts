import { deltaE2000, glossed, hexOf, labOf, layOver, reflectanceOf } from '../colour';
import type { CoatId, Design, Workshop } from '../design';
import { potFilm } from '../ink';
import { itemOf, type ItemOf } from '../stock';
import { inkCoat } from './after-coats';
import { laidInks } from './laid-inks';

/** A tinted coat over a base it could have. */
export interface OverBase {
  /** what this base is chosen for */
  readonly why: 'dark' | 'light' | 'best';
  readonly paint: ItemOf<'paint'>['id'];
  readonly name: string;
  /** hex, without the coat and with it */
  readonly under: string;
  readonly seen: string;
  /** how much the coat changes what is seen, ΔE00 */
  readonly shows: number;
}

/**
 * A tinted coat over the shelf's darkest paint, its lightest, and the one on which it shows most; a paint that is two of these
 * comes once, as the best. Nothing where there is no paint, or the coat has no ink.
 */
export function overBases(design: Design, workshop: Workshop, id: CoatId): readonly OverBase[] {
  const coat = inkCoat(design, id);
  const inks = laidInks(design, workshop, id);
  const paints = workshop.shelf.flatMap((item) => itemOf([item], item.id, 'paint') ?? []);
  if (!coat || inks.length === 0 || paints.length === 0) return [];
  const film = potFilm(inks, coat.thickness);
  const tried = paints.map(({ id: paint, name, colour }): Omit<OverBase, 'why'> => {
    const bare = reflectanceOf(colour);
    const through = (spectrum: typeof bare) => (workshop.settings.gloss ? glossed(spectrum) : spectrum);
    const [under, seen] = [through(bare), through(layOver(film, bare))];
    return { paint, name, under: hexOf(under), seen: hexOf(seen), shows: deltaE2000(labOf(under), labOf(seen)) };
  });
  const most = (of: (one: Omit<OverBase, 'why'>) => number) => tried.reduce((best, one) => (of(one) > of(best) ? one : best));
  const light = ({ under }: Omit<OverBase, 'why'>) => labOf(reflectanceOf(under))[0];
  const best = most(({ shows }) => shows);
  const others = [
    { why: 'dark' as const, ...most((one) => -light(one)) },
    { why: 'light' as const, ...most(light) },
  ];
  return [...others.filter(({ paint }) => paint !== best.paint), { why: 'best', ...best }];
}
