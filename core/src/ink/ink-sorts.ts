import type { InkEffect } from './load';

/** What is sold to colour resin, as a maker names it: how it takes light, how it is counted, what carries it. */
export const inkSorts = {
  'dye ink': {
    type: 'dye',
    dose: 'drop',
    solvent: true,
    says: 'See-through: deepens what is under it, and a second coat deepens it again.',
  },
  'opaque ink': {
    type: 'pigment',
    dose: 'drop',
    solvent: true,
    says: 'White or coloured, and hides what is under it; sinks and makes cells.',
  },
  paste: {
    type: 'pigment',
    dose: 'drop',
    solvent: false,
    says: 'Thick pigment without solvent: a little hides a lot. Stir it into some resin first.',
  },
  'mica pearl': {
    type: 'pearl',
    dose: 'scoop',
    solvent: false,
    says: 'Platelets that gleam in their own colour; strongest over dark.',
  },
  'interference pearl': {
    type: 'pearl',
    dose: 'scoop',
    solvent: false,
    says: 'Looks white in the jar, shows its colour by angle over dark and is near nothing on white.',
  },
  'glow powder': {
    type: 'pigment',
    dose: 'scoop',
    solvent: false,
    says: 'Told here as by day. It glows longest over white and under clear coats.',
  },
} as const satisfies Readonly<
  Record<
    string,
    { readonly type: InkEffect['type']; readonly dose: 'drop' | 'scoop'; readonly solvent: boolean; readonly says: string }
  >
>;
export type InkSort = keyof typeof inkSorts;
export const inkSortNames = Object.keys(inkSorts) as readonly InkSort[];

interface Sorted extends Pick<InkEffect, 'type'> {
  readonly sort?: InkSort | undefined;
  readonly solvent?: boolean | undefined;
}

const usual = { dye: 'dye ink', pigment: 'opaque ink', pearl: 'mica pearl' } as const satisfies Record<
  InkEffect['type'],
  InkSort
>;

/** The sort of an ink; where nobody said, the one that is usual for how it takes light. */
export const sortOf = ({ sort, type }: Sorted): InkSort => sort ?? usual[type];

/** Whether it brings a solvent that burns, and that softens what isn't cured; where nobody said, as is usual for its sort. */
export const hasSolvent = (ink: Sorted): boolean => ink.solvent ?? inkSorts[sortOf(ink)].solvent;

/** What a maker counts: drops of a liquid or a paste, level scoops of a powder; an item's `dropMl` is one of either. */
export type InkDose = 'drop' | 'scoop';

export const doseOf = (ink: Sorted): InkDose => inkSorts[sortOf(ink)].dose;
