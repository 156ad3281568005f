import { chunkyGlue, fadeOpenTime, fastGlue } from '../check';
import { coatKinds, withFix, type Fix } from '../coats';
import type { Coat, CoatId, CoatKindName, CoatOf, Design, Workshop } from '../design';
import { hides } from '../glitter';
import { itemOf } from '../stock';
import { listText } from '../units';
import { trialPlan } from '../plan';
import { suggestedDesign } from './suggested-coats';

/** One thing that a suggested plan does otherwise than the maker’s. */
export interface Otherwise {
  /** what it would do, a sentence */
  readonly says: string;
  readonly fix: Fix;
}

/** Kinds that a suggestion lays; all others are the maker’s own and stay. */
const SUGGESTED: readonly CoatKindName[] = ['prep', 'base', 'glue', 'glitter', 'press', 'seal', 'resin', 'sand', 'rest'];
/** Of those, what is worth leaving out; more care than was suggested is no fault. */
const TOO_MUCH: readonly CoatKindName[] = ['base', 'glue', 'glitter', 'resin'];
/** mm by which a film is another. */
const FILM_APART = 0.12;
/** What the check says of a glue that doesn’t suit. */
const UNSUITED: readonly string[] = [chunkyGlue, fastGlue, fadeOpenTime].map(({ name }) => name);

/**
 * What a suggested plan would do otherwise than the coats a design has, in the order of work; each can be taken alone.
 * What works as well stays untold, and so does what would break something else.
 */
export function suggestedOtherwise(design: Design, workshop: Workshop, newId: () => string): readonly Otherwise[] {
  const now = trialPlan(design, workshop);
  const grave = gravest(now.findings);
  const mine = design.coats.filter(({ kind }) => SUGGESTED.includes(kind));
  const theirs = suggestedDesign(design, workshop, newId).coats.filter(({ kind }) => SUGGESTED.includes(kind));
  const pairs = alike(mine, theirs);
  const areas = new Map(design.areas.map(({ id, name }) => [id as string, name]));
  const titles = new Map(now.coats.map(({ id, title }) => [id, title]));
  const titleOf = (coat: Coat) => `“${titles.get(coat.id) ?? coatKinds[coat.kind].name}”`;
  const sheer = letsThrough(design, workshop);
  const unsuited = now.findings.some(({ rule }) => UNSUITED.includes(rule));
  const otherwise = pairs.flatMap(([own, other], index): readonly Otherwise[] => {
    // Under flakes that let it through the base is the maker’s half of the colour.
    if (sheer && (own ?? other)?.kind === 'base' && mine.some(({ kind }) => kind === 'base')) return [];
    if (own && other) {
      const set = changed(own, other, unsuited);
      if (set === own) return [];
      return [
        {
          says: `Lay ${titleOf(own)} as ${wordsFor(set, workshop, areas)}.`,
          fix: { does: 'set coat', label: 'Do it so', coat: set },
        },
      ];
    }
    if (other) {
      const next = pairs.slice(index).find(([one]) => one)?.[0] ?? null;
      const where = next ? ` before ${titleOf(next)}` : ' at the end';
      return [
        {
          says: `Add ${wordsFor(other, workshop, areas)}${where}.`,
          fix: { does: 'put coat', label: 'Add it', coat: other, before: next?.id ?? null },
        },
      ];
    }
    return own && TOO_MUCH.includes(own.kind)
      ? [{ says: `Leave out ${titleOf(own)}.`, fix: { does: 'remove coat', label: 'Take it out', coat: own.id } }]
      : [];
  });
  return otherwise.filter(
    ({ fix }) => gravest(trialPlan(withFix(design, fix, workshop, newId() as CoatId), workshop).findings) <= grave,
  );
}

const gravest = (findings: ReturnType<typeof trialPlan>['findings']): number =>
  findings.reduce((sum, { level, accepted }) => sum + (accepted === null ? { stop: 100, look: 1, tip: 0 }[level] : 0), 0);

/** Whether a mix has flakes that what lies under them is seen through. */
const letsThrough = ({ blends, fades }: Design, { shelf }: Workshop): boolean =>
  [...blends, ...fades.flatMap(({ stops }) => stops)].some(({ parts }) =>
    parts.some(({ item }) => {
      const jar = itemOf(shelf, item, 'glitter');
      return jar !== undefined && !hides(jar.flake);
    }),
  );

/** The maker’s coat with what a suggestion really wants otherwise; the same one where that is nothing. */
function changed(own: Coat, other: Coat, unsuited: boolean): Coat {
  if (own.kind === 'base' && other.kind === 'base') return own.paint === other.paint ? own : { ...own, paint: other.paint };
  if (own.kind === 'glue' && other.kind === 'glue')
    return own.glue === other.glue || !unsuited ? own : { ...own, glue: other.glue, resin: other.resin };
  if (own.kind === 'resin' && other.kind === 'resin') return thicker(own, other);
  if (own.kind === 'rest' && other.kind === 'rest') return own.hours >= other.hours ? own : { ...own, hours: other.hours };
  return own;
}

const thicker = (own: CoatOf<'resin'>, other: CoatOf<'resin'>): Coat =>
  Math.abs(own.thickness - other.thickness) < FILM_APART ? own : { ...own, thickness: other.thickness };

/** A coat in a few words: its kind, what it is made with, where, how thick. */
function wordsFor(coat: Coat, { shelf }: Workshop, areas: ReadonlyMap<string, string>): string {
  const material = (['paint', 'glue', 'resin'] as const).flatMap((field) => {
    const id = (coat as Partial<Record<typeof field, string | null>>)[field];
    return shelf.flatMap((item) => (item.id === id && item.kind === field ? [item.name] : []));
  });
  const on = 'on' in coat && coat.on !== 'all' ? [`on ${listText(coat.on.map((id) => areas.get(id) ?? id))}`] : [];
  const thick = 'thickness' in coat ? [`${coat.thickness} mm`] : [];
  return [`“${coatKinds[coat.kind].name}”`, ...(material.length > 0 ? [`of ${listText(material)},`] : []), ...thick, ...on]
    .join(' ')
    .replace(/,$/, '');
}

/** Two orders of coats side by side, so that as many as can be stand beside one of their kind. */
function alike(mine: readonly Coat[], theirs: readonly Coat[]): readonly (readonly [Coat | null, Coat | null])[] {
  const best: number[][] = Array.from({ length: mine.length + 1 }, () => new Array<number>(theirs.length + 1).fill(0));
  for (let i = mine.length - 1; i >= 0; i -= 1)
    for (let j = theirs.length - 1; j >= 0; j -= 1)
      best[i][j] = mine[i].kind === theirs[j].kind ? best[i + 1][j + 1] + 1 : Math.max(best[i + 1][j], best[i][j + 1]);
  const pairs: [Coat | null, Coat | null][] = [];
  let [i, j] = [0, 0];
  while (i < mine.length || j < theirs.length) {
    const both = i < mine.length && j < theirs.length;
    if (both && mine[i].kind === theirs[j].kind) pairs.push([mine[i++], theirs[j++]]);
    else if (j >= theirs.length || (both && best[i + 1][j] >= best[i][j + 1])) pairs.push([mine[i++], null]);
    else pairs.push([null, theirs[j++]]);
  }
  return pairs;
}
