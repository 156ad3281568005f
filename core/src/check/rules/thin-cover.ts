import { coveringBlend, mlForBare, scaledBlend, type PlannedBlend, type ScaledBlend } from '../../blends';
import { ownColour } from '../../coats';
import { deltaE2000, labOf, reflectanceOf } from '../../colour';
import { hides } from '../../glitter';
import { itemOf } from '../../stock';
import { amountText, listText, percentText } from '../../units';
import type { Facts, Rule } from '../finding';

/** The share left bare from which on a blend looks thin, and from which on gaps are part of the colour. */
export const THIN = 0.15;
const GAPS = 0.12;
/** ΔE00 from which on what shows in the gaps is clearly, and plainly, another colour. */
const CLEAR = 12;
const FAR = 25;

const opaque = ({ workshop: { shelf } }: Facts, parts: readonly { readonly item: string }[]): boolean =>
  parts.every(({ item }) => {
    const jar = itemOf(shelf, item, 'glitter');
    return !jar || hides(jar.flake);
  });

/** Whether what lies under a blend is seen as another colour in its gaps; under flakes that let it through it is meant to be. */
function otherColourShows(facts: Facts, { parts, under }: PlannedBlend, apart: number): boolean {
  const own = opaque(facts, parts) ? ownColour([...parts], facts.workshop.shelf) : null;
  return own !== null && deltaE2000(labOf(reflectanceOf(under)), own) > apart;
}

/** A pour that leaves so much bare that its area looks patchy. */
export const thinCover: Rule = {
  name: 'thin cover',
  find: (facts) => {
    const thin = facts.blends.filter(
      (blend) =>
        blend.passes > 0 && blend.kept > 0 && blend.hold !== null && blend.bare > THIN && otherColourShows(facts, blend, CLEAR),
    );
    const about = { level: 'look', coat: null } as const;
    const covered = thin.map((blend) => ({ blend, covering: fullestBlend(facts, blend) }));
    const short = covered.flatMap(({ blend, covering }) => (covering ? [] : [blend]));
    return [
      ...covered.flatMap(({ blend, covering }) => {
        if (!covering) return [];
        const ml = amountText(covering.ml, facts.workshop.settings.units, blend.grams / blend.ml);
        return [
          {
            ...about,
            area: blend.area,
            says: `${percentText(blend.bare)} of ${blend.areaName} stays bare, over a base of another colour.`,
            why: 'It looks out between the flakes. More glitter covers it; so does a base like the glitter.',
            fix: { does: 'pour' as const, label: `Pour ${ml} to cover it`, area: blend.area, parts: covering.parts },
          },
        ];
      }),
      ...(short.length === 0
        ? []
        : [
            {
              ...about,
              area: null,
              says: `Up to ${percentText(Math.max(...short.map(({ bare }) => bare)))} of ${listText(short.map(({ areaName }) => areaName))} stays bare, over a base of another colour.`,
              why: 'So few passes of this glue can’t hold more. Lay glue and glitter once more, or a base like the glitter.',
              fix: null,
            },
          ]),
    ];
  },
};

/** What covers a blend, or where its glue can't hold that much, what leaves no more than isn't thin any more. */
function fullestBlend({ workshop: { shelf, settings } }: Facts, blend: PlannedBlend): ScaledBlend | null {
  const covering = coveringBlend(blend, shelf, settings.spoonStep);
  if (covering) return covering;
  const ml = mlForBare(blend, THIN - 0.02);
  return ml === null ? null : scaledBlend(blend, shelf, ml, settings.spoonStep);
}

/** A ground of quite another colour that shows in the gaps. */
export const baseFarOff: Rule = {
  name: 'base far from its glitter',
  find: (facts) => {
    if (facts.workshop.settings.ground !== 'matched') return [];
    return facts.blends.flatMap((blend) => {
      const { area, areaName, bare, passes, kept } = blend;
      // One that is thin besides is told so already, and what covers it hides this too.
      if (passes === 0 || kept === 0 || bare <= GAPS || bare > THIN || !otherColourShows(facts, blend, FAR)) return [];
      return [
        {
          level: 'tip' as const,
          coat: null,
          area,
          says: `Between the flakes of ${areaName} a base of quite another colour looks out.`,
          why: `${percentText(bare)} of it is gaps. A base like the glitter hides them, and so does more glitter.`,
          fix: null,
        },
      ];
    });
  },
};
