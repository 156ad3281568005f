import type { Step } from '../../coats';
import { isFilm, type Coat, type CoatId } from '../../design';
import { listText } from '../../units';
import { areasWhere, placesOfArea, reaches, stepsOfKind, type Rule } from '../finding';

/** A mask that stays on, or comes off where there is none. */
export const masksComeOff: Rule = {
  name: 'mask on, mask off',
  find: (facts) => {
    const last = facts.steps.at(-1);
    if (!last) return [];
    const idle = stepsOfKind(facts, 'unmask').filter(
      ({ before, planned }) => planned.area === 0 && !Object.values(before).some(({ masked }) => masked),
    );
    const left = facts.areas.areas.filter(({ id }) => placesOfArea(facts, id).some((place) => last.after[place].masked));
    const put = stepsOfKind(facts, 'mask').find(({ coat }) => left.some(({ id }) => reaches(facts, coat, id)));
    return [
      ...idle.map(({ coat }) => ({
        level: 'stop' as const,
        coat: coat.id,
        area: null,
        says: 'There is no mask to pull here.',
        why: 'It comes off before it is put on. Move this coat behind its mask, or take it out.',
        fix: { does: 'remove coat' as const, label: 'Take it out', coat: coat.id },
      })),
      ...(left.length === 0
        ? []
        : [
            {
              level: 'stop' as const,
              coat: put?.coat.id ?? null,
              area: null,
              says: `The mask on ${listText(left.map(({ name }) => name))} is never pulled.`,
              why: 'Under resin it can’t be pulled any more without tearing the edge.',
              fix: {
                does: 'insert coat' as const,
                label: 'Pull it before the resin',
                kind: 'unmask' as const,
                before: closesOver(facts.design.coats, put?.index ?? 0),
                on: left.map(({ id }) => id),
              },
            },
          ]),
    ];
  },
};

/** The first coat after a place in the order that would close over a mask. */
const closesOver = (coats: readonly Coat[], after: number): CoatId | null =>
  coats.slice(after).find((coat) => isFilm(coat) || coat.kind === 'seal' || coat.kind === 'rest')?.id ?? null;

/** A mask still on when resin is laid round it. */
export const maskUnderResin: Rule = {
  name: 'mask under resin',
  find: (facts) =>
    stepsOfKind(facts, 'resin', 'ink').flatMap(({ coat, before, index }) => {
      const names = areasWhere(facts, (place) => before[place].masked);
      // One that stays on to the end is told once, by the rule before this.
      const pulled = facts.steps.slice(index).some((step) => step.coat.kind === 'unmask');
      if (names.length === 0 || !pulled || facts.steps.slice(0, index).some(laysOver)) return [];
      return [
        {
          level: 'look' as const,
          coat: coat.id,
          area: null,
          says: `Resin is laid up to the mask on ${listText(names)}.`,
          why: 'It climbs the tape and leaves a ridge that tears when the mask is pulled. Pull it first, or within half an hour.',
          fix: null,
        },
      ];
    }),
};

const laysOver = ({ coat, before }: Step): boolean => isFilm(coat) && Object.values(before).some(({ masked }) => masked);

/** Tape on paint that was dry only just now. */
export const tapeOnFreshPaint: Rule = {
  name: 'tape on fresh paint',
  find: (facts) =>
    stepsOfKind(facts, 'mask').flatMap(({ coat, index }) => {
      const under = facts.steps[index - 1];
      if (under?.coat.kind !== 'base' && under?.coat.kind !== 'pearl') return [];
      return [
        {
          level: 'tip' as const,
          coat: coat.id,
          area: null,
          says: 'The mask goes on paint of the same day.',
          why: 'Strong tape lifts paint that isn’t hard right through. Let it stand overnight, or take weak tape and try the stick on cloth first.',
          fix: { does: 'insert coat' as const, label: 'Let it rest first', kind: 'rest' as const, before: coat.id },
        },
      ];
    }),
};
