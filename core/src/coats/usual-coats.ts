import type { AreaId } from '../areas';
import { deltaE2000, labOf, reflectanceOf } from '../colour';
import { schooled, type Blend, type Coat, type CoatId, type CoatKindName, type Design, type Workshop } from '../design';
import { CHUNKY, coarsestCut } from '../glitter';
import { glueWayFacts, itemOf, type ItemOf } from '../stock';
import { startingCoat } from './change-coats';
import { nearestPaint, ownColour } from './nearest-paint';

/** mm of a first coat over raw glitter, by how many it is laid in; and of a final one. */
const FIRST = { 'one thick': [0.4], 'two thin': [0.25, 0.25] } as const;

interface Mixed {
  readonly area: AreaId;
  readonly parts: Blend['parts'];
  readonly fades: boolean;
}

/**
 * The usual coats for what a design has so far, the way of its schools: under each mix the paint nearest to it, glue
 * where glitter goes, of a way that suits it.
 * @param newId a fresh id for each coat
 * @returns the coats; those whose material nobody has on the shelf are left out
 */
export function usualCoats(design: Design, workshop: Workshop, newId: () => string): readonly Coat[] {
  const schools = schooled(workshop.settings, design.schools);
  const bench = { ...workshop, settings: schools };
  const has = (kind: string) => workshop.shelf.some((item) => item.kind === kind);
  const begun = <Kind extends CoatKindName>(kind: Kind) =>
    startingCoat(kind, design, workshop, newId() as CoatId) as Extract<Coat, { kind: Kind }>;
  const glued = has('glue') ? gluedMixes(design, bench) : [];
  const held = [...new Set(glued.map(({ glue }) => glue))];
  const sealed =
    schools.sealing === 'always' || (schools.sealing === 'after dry glue' && held.some(({ way }) => way !== 'resin wipe'));
  // Before anything is mixed the places of glue and glitter are kept for it.
  const nothingMixed = design.blends.length === 0 && design.fades.length === 0;
  const sands = schools.betweenCoats !== 'tack';
  const everywhere = glued.length === design.areas.filter(({ masked }) => !masked).length && held.length === 1;
  return [
    begun('prep'),
    ...baseCoats(design, bench, begun),
    ...(nothingMixed && has('glue') ? [begun('glue')] : []),
    ...held.flatMap((glue): readonly Coat[] => {
      const on = everywhere ? ('all' as const) : glued.filter((one) => one.glue === glue).map(({ area }) => area);
      const chunky = glued.some((one) => one.glue === glue && coarsestOf(one, bench) >= CHUNKY);
      return [
        { ...begun('glue'), glue: glue.id, on: on === 'all' ? on : [...on] },
        { ...begun('glitter'), on: on === 'all' || held.length === 1 ? 'all' : [...on] },
        ...(chunky ? [{ ...begun('press'), on: on === 'all' || held.length === 1 ? ('all' as const) : [...on] }] : []),
      ];
    }),
    ...(nothingMixed || (glued.length === 0 && mixesOf(design).length > 0) ? [begun('glitter')] : []),
    ...(sealed ? [begun('seal')] : []),
    ...(has('resin')
      ? [
          ...FIRST[schools.firstCoat].map((thickness) => ({ ...begun('resin'), thickness })),
          ...(sands ? [begun('sand')] : []),
          begun('resin'),
        ]
      : []),
    begun('rest'),
  ];
}

/** What lies on each area: its blend, or all that it fades through. What is kept free gets neither. */
const mixesOf = ({ areas, blends, fades }: Design): readonly Mixed[] =>
  [
    ...blends
      .filter(({ parts, area }) => parts.length > 0 && !fades.some((fade) => fade.area === area))
      .map((blend) => ({ ...blend, fades: false })),
    ...fades.map(({ area, stops }) => ({ area, parts: stops.flatMap(({ parts }) => parts), fades: true })),
  ].filter(({ area }) => !areas.some(({ id, masked }) => id === area && masked));

const jarsOf = ({ parts }: Mixed, { shelf }: Pick<Workshop, 'shelf'>): readonly ItemOf<'glitter'>[] =>
  parts.flatMap(({ item }) => itemOf(shelf, item, 'glitter') ?? []);

const coarsestOf = (mix: Mixed, workshop: Workshop): number =>
  Math.max(0, ...jarsOf(mix, workshop).map(({ flake }) => coarsestCut(flake)));

/**
 * Each mix with the glue it is stuck by: of those that suit its cut, and a fade’s time, the one that holds most. Fine
 * holographic flakes go on a tacky coat, where they shine like foil.
 */
function gluedMixes(design: Design, workshop: Workshop): readonly (Mixed & { readonly glue: ItemOf<'glue'> })[] {
  const glues = workshop.shelf.filter((item): item is ItemOf<'glue'> => item.kind === 'glue');
  const resin = workshop.shelf.some(({ kind }) => kind === 'resin');
  const mixes = mixesOf(design);
  return mixes.flatMap((mix) => {
    if (jarsOf(mix, workshop).length === 0) return [];
    const chunky = coarsestOf(mix, workshop) >= CHUNKY;
    const slow = mix.fades || mixes.length > 1;
    const jars = jarsOf(mix, workshop);
    const foil = !chunky && jars.length > 0 && jars.every(({ finish }) => finish === 'holographic');
    const points = ({ way, hold }: ItemOf<'glue'>): number => {
      const facts = glueWayFacts[way];
      const suits = (!chunky || facts.chunky) && (!slow || facts.fades) && (facts.film === null || resin);
      return hold + (suits ? 10 : 0) + (foil && way === 'tacky coat' ? 5 : 0) - (way === 'tape' ? 20 : 0);
    };
    const glue = glues.toSorted((one, other) => points(other) - points(one)).at(0);
    return glue ? [{ ...mix, glue }] : [];
  });
}

/** Under every mix what its school has: the paint that most areas want all over, then each other one on its own areas. */
function baseCoats(
  design: Design,
  { shelf, settings }: Workshop,
  begun: <Kind extends CoatKindName>(kind: Kind) => Extract<Coat, { kind: Kind }>,
): readonly Coat[] {
  if (settings.ground === 'bare') return [];
  const paints = shelf.filter((item): item is ItemOf<'paint'> => item.kind === 'paint');
  const pearly = shelf.some((item) => item.kind === 'ink' && item.type === 'pearl') && shelf.some(({ kind }) => kind === 'glue');
  if (settings.painting === 'pearl in glue' && pearly) return [begun('pearl')];
  if (paints.length === 0) return [];
  const painted = { ...begun('base'), way: settings.painting === 'brushed' ? ('brushed' as const) : ('sprayed' as const) };
  if (settings.ground === 'white') return [{ ...painted, paint: whitest(paints).id }];
  const wanted = new Map<ItemOf<'paint'>, AreaId[]>();
  for (const { area, parts } of mixesOf(design)) {
    const colour = ownColour(parts, shelf);
    const paint = colour && nearestPaint(colour, paints);
    if (paint) wanted.set(paint, [...(wanted.get(paint) ?? []), area]);
  }
  const [first, ...others] = [...wanted].sort(([, one], [, other]) => other.length - one.length);
  if (!first) return [painted];
  return [
    { ...painted, paint: first[0].id },
    ...others.map(([paint, on]) => ({ ...painted, id: begun('base').id, paint: paint.id, on })),
  ];
}

const whitest = (paints: readonly ItemOf<'paint'>[]): ItemOf<'paint'> =>
  paints.toSorted((one, other) => offWhite(one) - offWhite(other))[0];

const offWhite = ({ colour }: ItemOf<'paint'>): number => deltaE2000(labOf(reflectanceOf(colour)), [100, 0, 0]);
