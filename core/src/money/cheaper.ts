import { deltaE2000, labOf, reflectanceOf } from '../colour';
import type { CoatId } from '../design';
import { facePerMl } from '../glitter';
import type { Make } from '../make';
import { costPerMl, itemOf, type ItemOf, type ShelfItem } from '../stock';
import type { Cost } from './cost';

/** A change that makes a cup cheaper, and by how much. */
export type Saving =
  | {
      readonly kind: 'twin';
      readonly name: string;
      readonly instead: string;
      /** ΔE00 between the two */
      readonly apart: number;
      readonly saves: number;
    }
  | { readonly kind: 'coat'; readonly coat: CoatId; readonly number: number; readonly title: string; readonly saves: number };

/** Farther apart, another glitter is another colour. */
const TWIN = 8;
/** Cuts that lie alike: one no more than so many times the other. */
const ALIKE = 1.6;
/** Coats that cups are also made without. */
const SPARED = ['resin', 'ink', 'seal', 'sprinkle', 'buff'];

/** What would make a design cheaper: a jar in place of another that looks much alike, or a coat less; what saves most first. */
export function savingsOf(make: Make, cost: Cost, shelf: readonly ShelfItem[]): readonly Saving[] {
  const glitters = shelf.filter((item): item is ItemOf<'glitter'> => item.kind === 'glitter');
  const twins = cost.lines.flatMap(({ item, kind, amount, cost: paid }) => {
    const jar = kind === 'glitter' && item ? itemOf(make.shelf, item, 'glitter') : undefined;
    return jar && paid !== null ? [{ jar, amount, paid }] : [];
  });
  const jars = new Map<string, { jar: ItemOf<'glitter'>; amount: number; paid: number }>();
  for (const one of twins) {
    const sum = jars.get(one.jar.id);
    jars.set(one.jar.id, { jar: one.jar, amount: (sum?.amount ?? 0) + one.amount, paid: (sum?.paid ?? 0) + one.paid });
  }
  const cheaper = [...jars.values()].flatMap((one) => twinOf(one, glitters));
  const coats = make.steps.flatMap(({ coat, kind, title }, at): readonly Saving[] => {
    const saves = cost.lines.filter((line) => line.coat === coat).reduce((sum, line) => sum + (line.cost ?? 0), 0);
    return SPARED.includes(kind) && saves > 0 ? [{ kind: 'coat', coat, number: at + 1, title, saves }] : [];
  });
  return [...cheaper, ...coats].sort((one, other) => other.saves - one.saves);
}

function twinOf(
  { jar, amount, paid }: { readonly jar: ItemOf<'glitter'>; readonly amount: number; readonly paid: number },
  glitters: readonly ItemOf<'glitter'>[],
): readonly Saving[] {
  const lab = labOf(reflectanceOf(jar.flake.colour));
  const found = glitters.flatMap((other) => {
    const each = costPerMl(other);
    const ratio = other.flake.cut / jar.flake.cut;
    if (other.id === jar.id || each === null || other.flake.kind !== jar.flake.kind || ratio > ALIKE || ratio < 1 / ALIKE)
      return [];
    const apart = deltaE2000(lab, labOf(reflectanceOf(other.flake.colour)));
    // Thinner flakes cover more a ml: as much face is poured, not as many ml.
    const saves = paid - (amount * facePerMl(jar.flake) * each) / facePerMl(other.flake);
    return apart <= TWIN && saves > 0.005 ? [{ kind: 'twin' as const, name: jar.name, instead: other.name, apart, saves }] : [];
  });
  return found.sort((one, other) => other.saves - one.saves).slice(0, 1);
}
