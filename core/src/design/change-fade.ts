import { plainEdge, type AreaId, type Band } from '../areas';
import type { FadePot } from '../fade';
import { footLevel } from '../vessel';
import type { Design } from './design';

/**
 * A design with the pots of a fade in place of a band, from its lower edge up: each a band with its blend. The
 * band's own edges stay at both ends, and coats that lay on it lie on all its pots.
 * @param ids as many as pots
 */
export function withPots(design: Design, id: AreaId, ids: readonly AreaId[], pots: readonly FadePot[]): Design {
  const at = design.areas.findIndex((area) => area.id === id);
  const source = design.areas.at(at);
  if (at < 0 || source?.kind !== 'band') return design;
  const bands = pots.map(({ from, to }, i): Band => ({
    ...source,
    id: ids[i],
    name: `${source.name.slice(0, 50)}, pot ${i + 1}`,
    lower: i === 0 ? source.lower : plainEdge(footLevel(Number(from.toFixed(1)))),
    upper: i === pots.length - 1 ? source.upper : plainEdge(footLevel(Number(to.toFixed(1)))),
  }));
  return {
    ...design,
    areas: design.areas
      .toSpliced(at, 1, ...bands)
      .map((area) => (area.kind === 'scatter' && area.inside === id ? { ...area, inside: null } : area)),
    blends: [
      ...design.blends.filter((blend) => blend.area !== id),
      ...pots.map(({ parts }, i) => ({ area: ids[i], parts: parts.map(({ item, ml }) => ({ item, ml })) })),
    ],
    coats: design.coats.map((coat) =>
      'on' in coat && coat.on !== 'all' && coat.on.includes(id)
        ? { ...coat, on: coat.on.flatMap((one) => (one === id ? ids : [one])) }
        : coat,
    ),
  };
}
