import { randomStream } from '../random';
import { boundOf, type Bound } from './bound';
import type { Chain } from './chains';
import type { WeekWish } from './ground';
import type { Placed } from './means';
import { earliestDueFirst, inOrderOf, ordersToTry } from './orders-to-try';
import { placeAll } from './place-all';
import type { Spot } from './place-chain';
import { prepare, type Prepared } from './prepare';
import { compareWorth, type WeekPlan, type Worth } from './week-plan';

/** Tries without gain after which the search begins again from the best, shaken. */
const PATIENCE = 120;
/** Moves at once that shake it. */
const SHAKES = 4;
/** Worths that a new one is compared with, the oldest: worse than now is taken while it is better than then. */
const REMEMBERED = 25;

/**
 * A week's plan, got better step by step. Begins with the best of several plain orders, earliest due first among them, and is
 * never worse; then chains are moved in the order of placing and what comes of it is kept while it isn't worse than some tries
 * ago (late acceptance, E. K. Burke and Y. Bykov, European Journal of Operational Research 258, 2017). The same wish and seed
 * give the same plan after the same number of tries.
 */
export class WeekSearch {
  readonly week: Prepared;
  readonly bound: Bound;
  best: WeekPlan;
  private order: readonly Chain[];
  private bestOrder: readonly Chain[];
  private now: Worth;
  private readonly remembered: Worth[];
  private tries = 0;
  private sinceGain = 0;
  private readonly chance: () => number;
  private readonly near: (Spot | null)[][] | null;

  /** @param before a plan that is followed as nearly as can be; null plans anew */
  constructor(wish: WeekWish, before: readonly Placed[] | null = null, seed = 1) {
    this.week = prepare(wish);
    this.bound = boundOf(this.week);
    this.chance = randomStream(seed);
    this.near = before && nearOf(this.week, before);
    const { chains } = this.week;
    const orders = this.near ? [followed(this.near, chains)] : ordersToTry(this.week);
    const [first, ...others] = [earliestDueFirst(this.week), ...orders].map((order) => ({ order, plan: this.place(order) }));
    const best = others.reduce((one, other) => (compareWorth(other.plan.worth, one.plan.worth) < 0 ? other : one), first);
    this.best = best.plan;
    this.bestOrder = this.order = best.order;
    this.now = best.plan.worth;
    this.remembered = Array.from({ length: REMEMBERED }, () => best.plan.worth);
    // Pins may bar one another's way in every plain order: the first plan is one that keeps them, if any is found soon.
    for (let tries = 0; this.barred && tries < 300; tries += 10) this.search(10);
  }

  /** Whether something isn't planned that could be. */
  private get barred(): boolean {
    return this.best.jobs.some(({ whyNot }, at) => whyNot !== null && this.week.cannot[at] === null);
  }

  /** Whether no plan can be better in what counts: all in time, nothing moved for nothing, and as early as the bound. */
  get proven(): boolean {
    const { unplanned, missed, late, moved, end } = this.best.worth;
    const impossible = this.week.cannot.filter((why) => why !== null).length;
    return this.near
      ? unplanned === impossible && missed + late + moved === 0
      : unplanned === impossible && missed + late === 0 && end <= this.bound.end;
  }

  /** So many tries more. @returns whether the plan got better */
  search(tries: number): boolean {
    const before = this.best;
    for (let n = 0; n < tries; n += 1) this.try();
    return this.best !== before;
  }

  private try(): void {
    if (this.order.length < 2) return;
    this.tries += 1;
    this.sinceGain += 1;
    if (this.sinceGain > PATIENCE) {
      this.sinceGain = 0;
      this.order = this.bestOrder;
      for (let n = 0; n < SHAKES; n += 1) this.order = this.moved(this.order);
      this.now = this.place(this.order).worth;
      this.remembered.fill(this.now);
      return;
    }
    const order = this.moved(this.order);
    const plan = this.place(order);
    const slot = this.tries % REMEMBERED;
    if (compareWorth(plan.worth, this.now) <= 0 || compareWorth(plan.worth, this.remembered[slot]) <= 0) {
      this.order = order;
      this.now = plan.worth;
      if (compareWorth(plan.worth, this.best.worth) < 0) {
        this.best = plan;
        this.bestOrder = order;
        this.sinceGain = 0;
      }
    }
    this.remembered[slot] = this.now;
  }

  private place(order: readonly Chain[]): WeekPlan {
    const { ground, jobs, pinned, cannot } = this.week;
    return placeAll(ground, jobs, order, { pinned, near: this.near }, cannot);
  }

  /** One chain, or all of one job from it on, placed earlier or later; its job's other chains stay before and after it. */
  private moved(order: readonly Chain[]): readonly Chain[] {
    const from = Math.floor(this.chance() * order.length);
    const { job } = order[from];
    // What makes the plan late or long is moved to the front more often than anything else is moved anywhere.
    const worst = this.chance() < 0.4 ? this.worst() : null;
    if (worst !== null) return this.forward(order, worst);
    const far = this.chance() < 0.5 ? 3 : order.length;
    const to = Math.min(order.length - 1, Math.max(0, from + Math.round((this.chance() * 2 - 1) * far)));
    const step = to < from ? -1 : 1;
    const next = [...order];
    const [chain] = next.splice(from, 1);
    // It goes no farther than the next chain of its own job.
    let at = from;
    while (at !== to && order[at + step].job !== job) at += step;
    next.splice(at, 0, chain);
    return next;
  }

  /** A job that something is in the way of, is late, or ends last; null where none is planned. */
  private worst(): number | null {
    const barred = this.best.jobs.findIndex(({ whyNot }, at) => whyNot !== null && this.week.cannot[at] === null);
    if (barred >= 0) return barred;
    const late = this.best.jobs.flatMap(({ late: by }, at) => (by > 0 ? [at] : []));
    if (late.length > 0) return late[Math.floor(this.chance() * late.length)];
    const last = this.best.jobs.findIndex(({ done }) => done === this.best.worth.end);
    return last < 0 ? null : last;
  }

  private forward(order: readonly Chain[], job: number): readonly Chain[] {
    const places = order.flatMap((chain, at) => (chain.job === job ? [at] : []));
    const first = Math.floor(this.chance() * places.length);
    const by = 1 + Math.floor(this.chance() * this.chance() * order.length);
    const next = [...order];
    let least = first > 0 ? places[first - 1] + 1 : 0;
    for (const place of places.slice(first)) {
      const [chain] = next.splice(place, 1);
      const at = Math.max(least, place - by);
      next.splice(at, 0, chain);
      least = at + 1;
    }
    return next;
  }
}

/** Where each work stood in a plan that is to be followed. */
const nearOf = ({ jobs }: Prepared, before: readonly Placed[]): (Spot | null)[][] => {
  const known = new Map(before.map((one) => [`${one.job}\n${one.work}`, { at: one.at, person: one.person }]));
  return jobs.map(({ id, works }) => works.map(({ key }) => known.get(`${id}\n${key}`) ?? null));
};

/** Chains in the order a plan had them; what is new comes after. */
const followed = (near: readonly (readonly (Spot | null)[])[], chains: Prepared['chains']): readonly Chain[] =>
  inOrderOf(
    near.map((spots) => ({ works: spots.map((spot) => ({ at: spot?.at ?? Number.MAX_SAFE_INTEGER })) })),
    chains,
  );
