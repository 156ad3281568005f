import { cupsAtOnce } from '../batches';
import { openInThisRoom, potsBeside, type Batch, type PlannedCoat } from '../coats';
import { itemsOfCoat, schooled, type Coat, type Design, type Settings, type Workshop } from '../design';
import { amountLines } from '../formats';
import { planOf, type Plan } from '../plan';
import { drawnParts } from '../pots';
import { GLOVE_LOSS_SHARE, potKeeps, potLifeAt } from '../resin';
import { itemOf, type ShelfItem } from '../stock';
import { tidy } from '../units';
import { MAKE_VERSION, PROGRAM_VERSION, type Make, type MakeAmount, type MakeStep, type MakeWish } from './make';

/** What a make is made of, all as it is now. */
export interface Makings {
  readonly design: Design;
  readonly revision: number;
  readonly workshop: Workshop;
  /** the how manieth of this design */
  readonly number: number;
  /** ISO 8601 */
  readonly at: string;
}

/** Freezes a make: everything it is worked out from, and its plan as numbers. Its schema refuses one of no coats. */
export function makeOf(
  { id, cups, label }: Omit<MakeWish, 'design' | 'cup' | 'like'>,
  { design, revision, workshop, number, at }: Makings,
): Make {
  const plan = planOf(design, workshop);
  const settings = schooled(workshop.settings, design.schools);
  const all = cupsAtOnce(plan, design, workshop, cups).coats;
  const jars = namedJars(design, workshop.shelf);
  return {
    id,
    version: MAKE_VERSION,
    program: PROGRAM_VERSION,
    number,
    designId: design.id,
    revision,
    design,
    settings: workshop.settings,
    shelf: [...jars],
    cups,
    label,
    at,
    notes: [],
    steps: all.map(({ planned, batch }, i) =>
      stepOf(design.coats[i], { planned, batch, plan, settings, cups, before: design.coats.slice(0, i), shelf: workshop.shelf }),
    ),
  };
}

/** The jars a design names, in the order of the shelf. */
function namedJars(design: Design, shelf: readonly ShelfItem[]): readonly ShelfItem[] {
  const named = new Set<string>([
    ...design.coats.flatMap((coat) => itemsOfCoat(coat).map(({ id }) => id)),
    ...design.blends.flatMap(({ parts }) => parts.map(({ item }) => item as string)),
    ...design.fades.flatMap(({ stops }) =>
      stops.flatMap(({ parts, base }) => [...parts.map(({ item }) => item as string), ...(base ? [base] : [])]),
    ),
  ]);
  return shelf.filter(({ id }) => named.has(id));
}

interface Frozen {
  readonly planned: PlannedCoat;
  readonly batch: Batch | null;
  readonly plan: Plan;
  readonly settings: Settings;
  readonly cups: number;
  /** the design's coats under it */
  readonly before: readonly Coat[];
  readonly shelf: readonly ShelfItem[];
}

/** Minutes: both parts alone and then together, or together at once. */
const STIR = { together: 3, 'each alone first': 5 } as const;
/** Minutes after which runs show. */
const LOOK = 12;
/** Resin is relied on for no longer than 100 ml of it would last. */
const NO_SMALLER = 100;

function stepOf(coat: Coat, frozen: Frozen): MakeStep {
  const { planned, batch, plan, settings, shelf } = frozen;
  const { mix } = planned;
  const resin = 'resin' in coat && coat.resin !== null ? itemOf(shelf, coat.resin, 'resin') : undefined;
  const glue = coat.kind === 'glue' ? itemOf(shelf, coat.glue, 'glue') : undefined;
  const spread = coat.kind === 'resin' || coat.kind === 'ink';
  // What glue takes no more is a window that has closed, as one on tacky resin is.
  const closes = glue?.open ? openInThisRoom(glue.open[1], { settings }) : null;
  const open = resin ? null : closes;
  const lasts = resin && mix ? Math.floor(potLifeAt(resin.potLife, Math.max(NO_SMALLER, mix.mix), settings.celsius)) : null;
  return {
    coat: coat.id,
    kind: coat.kind,
    title: planned.title,
    where: planned.where,
    does: planned.does,
    waitsFor: planned.waitsFor,
    needs: [...planned.needs],
    cautions: [...planned.cautions],
    note: coat.note,
    lines: [...amountLines(planned, settings.units, plan.fades)],
    amounts: [...amountsOf(coat, frozen)],
    mix:
      resin && mix && planned.area !== null && planned.thickness !== null
        ? {
            ratio: [...mix.ratio],
            ratioBy: mix.ratioBy,
            density: [...resin.density],
            area: planned.area / (batch?.pots ?? 1),
            thickness: planned.thickness,
            fill: mix.fill,
            held: mix.held,
            kept: potKeeps(potsBeside(planned.graded?.pots ?? null), settings.losses?.pot),
            glove: settings.losses?.glove ?? GLOVE_LOSS_SHARE,
            times: batch?.pots ?? 1,
          }
        : null,
    flakes: flakesOf(coat, frozen),
    stir: mix ? STIR[settings.mixing] : null,
    within: mix ? lasts : open,
    look: spread ? LOOK : null,
    handsOn: planned.handsOn,
    wait: { minutes: planned.wait.minutes, until: planned.wait.until, closes: planned.wait.closes ?? closes },
    shows: seenMost(planned, plan),
  };
}

/** What can be learnt of the glue under a coat of glitter, once it is weighed. */
function flakesOf(coat: Coat, { planned, before, cups }: Frozen): MakeStep['flakes'] {
  if (coat.kind !== 'glitter' || planned.pours.length === 0) return null;
  const last = before.findLastIndex(({ kind }) => kind === 'glitter');
  const glues = new Set(before.slice(last + 1).flatMap((one) => (one.kind === 'glue' ? [one.glue] : [])));
  const [glue] = glues;
  if (glues.size !== 1) return null;
  return {
    glue,
    pours: planned.pours.map(({ area, kept, castOff, grams }) => ({
      place: area,
      deep: castOff < 1 ? tidy(kept / (1 - castOff)) : 0,
      grams: tidy(cups * grams),
    })),
  };
}

/** Hex of the largest area's place. */
function seenMost({ seen }: PlannedCoat, { areas, places, bareWall }: Plan): string {
  const largest = [...areas.areas].sort((one, other) => other.area - one.area).at(0);
  const place = places.find(({ area }) => area === largest?.id)?.id ?? places.at(0)?.id;
  return (place === undefined ? undefined : seen[place]) ?? Object.values(seen).at(0) ?? bareWall;
}

function amountsOf(coat: Coat, { planned, plan, cups, shelf }: Frozen): readonly MakeAmount[] {
  const { mix, drops, pours, uses } = planned;
  const resin = 'resin' in coat && coat.resin !== null ? itemOf(shelf, coat.resin, 'resin') : undefined;
  const parts: readonly MakeAmount[] = mix
    ? (['a', 'b'] as const).map((key) => ({
        key,
        name: key === 'a' ? 'Part A' : 'Part B',
        where: null,
        unit: 'ml',
        amount: mix[key],
        gramsPerMl: (key === 'a' ? mix.aGrams : mix.bGrams) / mix[key],
        item: resin?.id ?? null,
        each: 1,
      }))
    : [];
  const inked = drops.map(({ item, ink, count, dose }): MakeAmount => ({
    key: `drops/${item}`,
    name: ink,
    where: null,
    unit: dose,
    amount: count,
    gramsPerMl: null,
    item,
    each: itemOf(shelf, item, 'ink')?.dropMl ?? 0,
  }));
  const poured = pours.flatMap((pour) =>
    drawnParts(pour, plan.fades, cups).map((part): MakeAmount => ({
      key: `pour/${pour.area}/${part.item}`,
      name: part.name,
      where: pour.areaName,
      unit: 'ml',
      amount: part.ml,
      gramsPerMl: part.gramsPerMl > 0 ? part.gramsPerMl : null,
      item: part.missing ? null : part.item,
      each: 1,
    })),
  );
  const used = uses.map(({ item, name, kind, amount, counted }): MakeAmount => {
    const unit = counted ? counted.dose : kind === 'film' ? 'sheet' : 'ml';
    const count = counted?.count ?? amount;
    return {
      key: `use/${item}`,
      name,
      where: null,
      unit,
      amount: count,
      gramsPerMl: null,
      item,
      each: count > 0 ? amount / count : 0,
    };
  });
  return [...parts, ...inked, ...poured, ...used];
}
