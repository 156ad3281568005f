import type { PlannedPart, ReadyBlend } from '../coats';
import type { Blend } from '../design';
import { coarsestCut, cutText, faceShares, flakeDepth, flakesPerMl, gramsPerMl, typicalFlake, type Part } from '../glitter';
import { itemOf, shareSpread, type ShelfItem } from '../stock';

/**
 * A blend with its jars looked up and weighed. A jar that left the shelf stays in the list, marked,
 * and counts for nothing: its flakes are no longer known.
 * @param area cm² of the area it is poured on
 */
export function readyBlend(blend: Blend, areaName: string, area: number, shelf: readonly ShelfItem[]): ReadyBlend {
  const jars = blend.parts.map(({ item, ml }) => ({ id: item, ml, jar: itemOf(shelf, item, 'glitter') }));
  const parts: Part[] = jars.flatMap(({ jar, ml }) => (jar ? [{ glitter: jar.flake, ml }] : []));
  const shares = faceShares(parts);
  const ml = parts.reduce((sum, part) => sum + part.ml, 0);
  let known = -1;
  const planned = jars.map(({ id, ml: poured, jar }): PlannedPart => {
    if (!jar) {
      const flake = typicalFlake(0.4);
      return {
        item: id,
        name: 'no longer on the shelf',
        colour: '#cccccc',
        cut: null,
        cuts: '?',
        ml: poured,
        grams: 0,
        gramsPerMl: flake.density * flake.solidShare,
        spoonShare: 0,
        faceShare: 0,
        flakes: 0,
        missing: true,
      };
    }
    known += 1;
    const weight = gramsPerMl(jar.flake);
    return {
      item: id,
      name: jar.name,
      colour: jar.flake.colour,
      cut: coarsestCut(jar.flake),
      cuts: cutText(jar.flake),
      ml: poured,
      grams: poured * weight,
      gramsPerMl: weight,
      spoonShare: poured / ml,
      faceShare: shares[known],
      flakes: poured * flakesPerMl(jar.flake),
      missing: false,
    };
  });
  return {
    area: blend.area,
    areaName,
    parts,
    finishes: jars.flatMap(({ jar }) => (jar ? [jar.finish] : [])),
    unsure: jars.flatMap(({ jar, ml }) =>
      jar ? [{ glitter: jar.flake, ml, name: jar.name, spread: shareSpread[jar.basis] }] : [],
    ),
    planned,
    ml,
    grams: planned.reduce((sum, part) => sum + part.grams, 0),
    poured: area > 0 ? flakeDepth(parts, area).depth : 0,
    thickness: parts.reduce((sum, part, i) => sum + shares[i] * part.glitter.thickness, 0),
    coarsest: Math.max(0, ...parts.map((part) => coarsestCut(part.glitter))),
  };
}
