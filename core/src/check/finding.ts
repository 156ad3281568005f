import type { AreaId } from '../areas';
import type { PlannedBlend } from '../blends';
import type { Fix, Step } from '../coats';
import type { CoatHeights, CoatId, CoatKindName, CoatOf, Design, Workshop } from '../design';
import { liesBetween, type CupPlaces, type PlannedAreas } from '../layout';
import type { PlannedFade } from '../pots';
import { rememberEach } from '../remember';

/** stop: it will fail or hurt; look: likely worse; tip: worth knowing. */
export type FindingLevel = 'stop' | 'look' | 'tip';

export interface Finding {
  readonly rule: string;
  readonly level: FindingLevel;
  readonly coat: CoatId | null;
  readonly area: AreaId | null;
  /** what is wrong, a sentence */
  readonly says: string;
  /** why it matters, a sentence */
  readonly why: string;
  readonly fix: Fix | null;
  /** why the maker leaves it so; null while it is to be looked at */
  readonly accepted: string | null;
}

/** What a rule looks at. */
export interface Facts {
  readonly design: Design;
  readonly workshop: Workshop;
  readonly areas: PlannedAreas;
  readonly steps: readonly Step[];
  readonly fades: readonly PlannedFade[];
  readonly blends: readonly PlannedBlend[];
  readonly cup: CupPlaces;
}

/** The places an area is laid in: itself, its pots where it fades, or parts of them where coats end at a height. */
export const placesOfArea = ({ cup }: Pick<Facts, 'cup'>, area: AreaId): readonly string[] => cup.pots[area] ?? [area];

/** What a rule has found; whose it is, and whether the maker means it so, is added for all of them. */
export type Found = Omit<Finding, 'rule' | 'accepted'>;

/** A rule: its name, and the findings it has. */
export interface Rule {
  readonly name: string;
  find(facts: Facts): readonly Found[];
}

interface NumberedStep extends Step {
  readonly index: number;
}

/** By kind, once for all rules that look at the same steps. */
const byKind = rememberEach((steps: readonly Step[]): ReadonlyMap<CoatKindName, readonly NumberedStep[]> => {
  const kinds = new Map<CoatKindName, NumberedStep[]>();
  steps.forEach((step, index) => kinds.set(step.coat.kind, [...(kinds.get(step.coat.kind) ?? []), { ...step, index }]));
  return kinds;
});

/** The steps of some kinds, typed as such, in the order they are laid. */
export function stepsOfKind<Kind extends CoatKindName>(
  { steps }: Pick<Facts, 'steps'>,
  ...kinds: readonly Kind[]
): readonly (NumberedStep & { readonly coat: CoatOf<Kind> })[] {
  const lists = kinds.flatMap((kind) => byKind(steps).get(kind) ?? []);
  // Each list holds the steps of its own kind only.
  return (kinds.length === 1 ? lists : lists.sort((one, other) => one.index - other.index)).map(
    (step) => step as NumberedStep & { coat: CoatOf<Kind> },
  );
}

/** Names of the areas for which something holds, in any of their places. */
export const areasWhere = (facts: Facts, holds: (place: string) => boolean): readonly string[] =>
  facts.areas.areas.filter((area) => area.area > 0 && placesOfArea(facts, area.id).some(holds)).map((area) => area.name);

/** Whether a coat reaches a place; a pot lies where its area does. */
export const reaches = (
  facts: Pick<Facts, 'cup'>,
  { on, between }: { readonly on: 'all' | readonly AreaId[]; readonly between?: CoatHeights | undefined },
  place: string,
): boolean =>
  (on === 'all' || on.some((area) => placesOfArea(facts, area).includes(place))) &&
  (!between || liesBetween(facts.cup.heights[place], between));
