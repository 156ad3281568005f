import type { Coat } from '../design';
import { benchOf, type LogEntry, type Make, type MakeStep } from '../make';
import { cureFactor } from '../resin';
import { itemOf, settingOf, type ItemOf, type ShelfItem } from '../stock';
import type { Job, Minute, Work, WorkMix } from './job';

const MINUTE = 60_000;
const minuteOfMoment = (moment: number): Minute => Math.ceil(moment / MINUTE);

/** Coats after which resin lies wet on the cup, so that it has to turn. */
const WET: readonly Coat['kind'][] = ['resin', 'ink', 'strings', 'dab', 'sprinkle'];

/** What a job is called and by when it has to be done. */
export interface JobNames {
  readonly id: string;
  readonly name: string;
  readonly who: string;
  readonly due: Minute | null;
}

/** A make that isn’t begun, or was begun and goes on: the work that is left of it, and when that may go on. */
export function jobOfMake(
  make: Make,
  entries: readonly LogEntry[],
  { celsius, now }: { readonly celsius: number; readonly now: Minute },
  names: JobNames,
): Job {
  const { coats, standing } = benchOf(make, entries, now * MINUTE);
  const works = worksOf(make, celsius);
  const left = coats.flatMap(({ state }, at) => (state === 'done' || state === 'skipped' ? [] : [at]));
  const first = left.at(0);
  const current = first === undefined ? null : coats[first];
  const last = coats.slice(0, first ?? coats.length).findLastIndex(({ state }) => state === 'done');
  const laid = coats.at(last)?.ended ?? null;
  const begun = current?.begun ?? null;
  const open = left.map((at) => works[at]);
  const from = standing.opens === null ? now : Math.max(now, minuteOfMoment(standing.opens));
  const at = begun === null ? null : Math.floor(begun / MINUTE);
  return {
    ...names,
    cups: make.cups,
    from,
    before: standing.closes === null || begun !== null ? null : Math.floor(standing.closes / MINUTE),
    // What is under way takes as long as planned, or until now where it takes longer.
    works: at === null ? open : open.map((work, k) => (k === 0 ? { ...work, hands: Math.max(work.hands, now - at + 1) } : work)),
    begun: at === null ? null : { at, person: null },
    after: last < 0 || laid === null ? null : { work: works[last], laid: minuteOfMoment(laid) },
  };
}

/**
 * The work of each coat of a make, with what it holds.
 * @param celsius of the room it is made in: what cures was planned for the room the make was frozen in
 */
export function worksOf({ steps, design, settings, shelf, cups }: Make, celsius: number): readonly Work[] {
  const pace = cureFactor(celsius) / cureFactor(settings.celsius);
  let resin: ItemOf<'resin'> | undefined;
  return steps.map((step) => {
    const coat = design.coats.find(({ id }) => id === step.coat);
    const own = coat && resinOf(coat, shelf);
    if (own) resin = own;
    return workOf(step, coat, { cups, pace, celsius, resin, shelf });
  });
}

const resinOf = (coat: Coat, shelf: readonly ShelfItem[]): ItemOf<'resin'> | undefined =>
  'resin' in coat && coat.resin !== null ? itemOf(shelf, coat.resin, 'resin') : undefined;

interface At {
  readonly cups: number;
  readonly pace: number;
  readonly celsius: number;
  readonly resin: ItemOf<'resin'> | undefined;
  readonly shelf: readonly ShelfItem[];
}

function workOf(step: MakeStep, coat: Coat | undefined, { cups, pace, celsius, resin, shelf }: At): Work {
  const cures = coat?.kind !== 'rest';
  const minutes = (planned: number) => Math.round(cures ? planned * pace : planned);
  const wait = minutes(step.wait.minutes);
  const wet = coat !== undefined && WET.includes(coat.kind);
  // Tacky resin doesn’t run any more: by the time its window closes the cup may stand still.
  const runs = resin ? settingOf(resin).tackUntil * cureFactor(celsius) : step.wait.minutes;
  const sprayed = coat !== undefined && isSprayed(coat, shelf);
  return {
    key: step.coat,
    titles: [step.title],
    hands: Math.round(step.handsOn),
    wait,
    within: step.wait.closes === null ? null : Math.max(wait, minutes(step.wait.closes)),
    cures,
    sprays: sprayed ? 1 : 0,
    turns: wet ? cups : 0,
    turning: wet ? Math.min(wait, Math.round(runs)) : 0,
    hangs: wait > 0 && (coat?.kind === 'base' || coat?.kind === 'seal') ? cups : 0,
    mix: resin ? mixOf(step, resin, celsius) : null,
  };
}

function mixOf({ mix, amounts }: MakeStep, { id, name, potLife }: ItemOf<'resin'>, celsius: number): WorkMix | null {
  const part = (key: 'a' | 'b') => amounts.find((amount) => amount.key === key);
  const [a, b] = [part('a'), part('b')];
  if (!mix || !a || !b) return null;
  return {
    resin: id,
    name,
    ml: [a.amount, b.amount],
    gramsPerMl: [a.gramsPerMl ?? mix.density[0], b.gramsPerMl ?? mix.density[1]],
    pots: mix.times,
    lasts: potLife * cureFactor(celsius),
  };
}

/** Whether a coat is sprayed, so that it takes the place where one sprays. */
function isSprayed(coat: Coat, shelf: readonly ShelfItem[]): boolean {
  if (coat.kind === 'base') return coat.way !== 'brushed';
  if (coat.kind === 'seal') return true;
  const glue = coat.kind === 'glue' ? itemOf(shelf, coat.glue, 'glue') : undefined;
  return glue?.way === 'spray adhesive' || glue?.way === 'clear spray';
}
