import type { AreaId } from '../../areas';
import { isFilm, type Blend } from '../../design';
import { itemOf } from '../../stock';
import { listText } from '../../units';
import { areasWhere, placesOfArea, stepsOfKind, type Facts, type Found, type Rule } from '../finding';

/** Areas with a mix of their own that no glitter coat pours, once there is a coat at all. */
export const blendNotPoured: Rule = {
  name: 'blend not poured',
  find: (facts) => {
    const { design } = facts;
    if (design.coats.length === 0) return [];
    const poured = new Set(
      stepsOfKind(facts, 'glitter').flatMap(({ planned }) => planned.pours.map(({ area }) => area as string)),
    );
    // A mix of jars that are all gone has nothing to pour; that they are gone is told by another rule.
    const there = ({ item }: Blend['parts'][number]) => itemOf(facts.workshop.shelf, item, 'glitter') !== undefined;
    const mixed = [
      ...design.blends.filter(({ parts }) => parts.some(there)),
      ...design.fades.filter(({ stops }) => stops.some(({ parts }) => parts.some(there))),
    ].map(({ area }) => area as string);
    const left = facts.areas.areas.filter(
      ({ id, area }) => area > 0 && mixed.includes(id) && !placesOfArea(facts, id).some((place) => poured.has(place)),
    );
    const kept = left.filter(({ masked }) => masked);
    const open = left.filter(({ masked }) => !masked);
    return [
      ...kept.map(({ id, name }) => ({
        level: 'look' as const,
        coat: null,
        area: id,
        says: `${name} is kept free, and yet has a mix.`,
        why: 'Nothing is poured where it stays free. Take the mix out, or let the area be laid.',
        fix: null,
      })),
      ...(open.length === 0 ? [] : [notPoured(facts, open)]),
    ];
  },
};

const notPoured = (facts: Facts, left: readonly { readonly id: AreaId; readonly name: string }[]): Found => ({
  level: 'stop' as const,
  coat: null,
  area: null,
  says: `No coat pours the glitter of ${listText(left.map(({ name }) => name))}.`,
  why: 'The mix is planned, and would stay in its pot.',
  fix: {
    does: 'insert coat' as const,
    label: 'Add a glitter coat',
    kind: 'glitter' as const,
    before: closing(facts),
    on: left.map(({ id }) => id),
  },
});

/** Glitter coats with nothing to pour: no area they go on has a mix. */
export const nothingToPour: Rule = {
  name: 'nothing to pour',
  find: (facts) =>
    stepsOfKind(facts, 'glitter')
      .filter(({ planned }) => planned.pours.length === 0)
      .map(({ coat }) => ({
        level: 'stop' as const,
        coat: coat.id,
        area: null,
        says: 'This coat has no glitter to pour.',
        why: 'No area it goes on has a blend. Mix one at the Colour stage, or take the coat out.',
        fix: null,
      })),
};

/** Glitter that lies raw when the last coat is on, or a cup that no resin closes at all. */
export const glitterNotClosed: Rule = {
  name: 'glitter not closed',
  find: (facts) => {
    const last = facts.steps.at(-1);
    if (!last) return [];
    const raw = areasWhere(facts, (place) => last.after[place].rawMicrons > 0);
    const closed = facts.design.coats.some(isFilm);
    if (raw.length === 0 && closed) return [];
    return [
      {
        level: 'stop' as const,
        coat: null,
        area: null,
        says: raw.length === 0 ? 'No coat of resin closes this cup.' : `No resin closes over the glitter on ${listText(raw)}.`,
        why:
          raw.length === 0
            ? 'Paint alone is scratched and washed off.'
            : 'Raw glitter comes off with every wash, and is sharp to the hand.',
        fix: { does: 'insert coat' as const, label: 'Add a coat of resin', kind: 'resin' as const, before: rest(facts) },
      },
    ];
  },
};

/** The rest at the end, which all else comes before. */
const rest = ({ design }: Facts) => (design.coats.at(-1)?.kind === 'rest' ? (design.coats.at(-1)?.id ?? null) : null);

/** The first coat that closes over glitter, which it has to come before. */
const closing = (facts: Facts) => facts.design.coats.find((coat) => coat.kind === 'seal' || isFilm(coat))?.id ?? rest(facts);
