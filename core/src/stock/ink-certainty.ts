/** What an ink's swatch rests on, worst first. */
export const inkBases = ['typical', 'label', 'by eye', 'dab'] as const;
export type InkBasis = (typeof inkBases)[number];

/** How sure an ink's swatch is, one standard deviation: of its colour ΔE00, of how much a drop colours a share of it. */
export interface InkSureness {
  readonly colour: number;
  readonly strength: number;
}

/** Usual values; a colour card of its maker on another screen; a dab matched by eye; a dab in a photo, unless it says better. */
const usualSureness: Readonly<Record<InkBasis, InkSureness>> = {
  typical: { colour: 8, strength: 0.35 },
  label: { colour: 5, strength: 0.3 },
  'by eye': { colour: 4, strength: 0.2 },
  dab: { colour: 2.5, strength: 0.15 },
};

/** How sure an ink's swatch is: as its dab said, or as is usual for what it rests on. */
export const inkSureness = ({
  basis,
  sure,
}: {
  readonly basis: InkBasis;
  readonly sure?: InkSureness | undefined;
}): InkSureness => sure ?? usualSureness[basis];

const rests: Readonly<Record<InkBasis, string>> = {
  typical: 'Usual values for its sort. A dab of it would say far more.',
  label: 'From its label. A dab of it would say more.',
  'by eye': 'From a dab matched by eye. A photo of one beside a white or grey card would say more.',
  dab: 'From a dab.',
};

/** What an ink's swatch rests on and what would make it surer, in a sentence or two. */
export const inkRests = (basis: InkBasis): string => rests[basis];
