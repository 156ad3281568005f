import type { Workshop } from '@aurantia/core';
import { makeOf, standingSchema, takenFrom, type LogEntry, type Make, type MakeId } from '@aurantia/core/make';
import { batchesOf, cupsAtATime, cupsToBegin, isOpen, jobOfOrder, type Order } from '@aurantia/core/order';
import {
  jobOfMake,
  minuteOf,
  worksOf,
  type Job,
  type JobNames,
  type JobTake,
  type Means,
  type WeekData,
  type Zone,
} from '@aurantia/core/week';
import type { Reading } from '../aside/reading';
import { ProblemError } from '../http/problem';
import { MakesStore } from '../makes/makes-store';
import { OrdersStore } from '../orders/orders-store';

export interface WeekAsked {
  /** ms since 1970, by the workshop’s clock */
  readonly now: number;
  readonly zone: Zone;
  readonly means: Means;
  /** an order that is only asked about: its jobs alone, as if none of it were begun */
  readonly asks?: Order | undefined;
}

export type WeekJobs = Pick<WeekData, 'jobs' | 'takes' | 'troubles'>;

/** Plans worked out lately, by design, revision, cups and what the workshop was like. */
const planned = new Map<string, Make>();
const MOST_PLANNED = 200;

/** All that is to be done: what is left of each make on the bench, and the cups of taken orders that aren’t begun. */
export async function weekJobs({ now, zone, means, asks }: WeekAsked, from: Reading): Promise<WeekJobs> {
  const { workshop, stamp } = await from.workshop();
  const room = { celsius: workshop.settings.celsius, now: Math.ceil(now / 60_000) };
  const orders = asks
    ? [{ ...asks, makes: [] }]
    : (await new OrdersStore(from.store).all()).map(({ document }) => document).filter(isOpen);
  const makes = asks ? [] : await madeLately(from, now, orders);
  const ordered = new Map(
    orders.flatMap((order) => order.makes.map((make, at) => [make as string, namesOf(order, '', at, zone)] as const)),
  );
  const jobs: Job[] = [];
  const takes: JobTake[] = [];
  const troubles: WeekJobs['troubles'] = [];
  for (const { make, entries } of makes) {
    const names = ordered.get(make.id) ?? { id: make.id, who: make.label, due: null };
    const job = jobOfMake(make, entries, room, { ...names, name: make.design.name });
    jobs.push(job);
    takes.push(...takesOf(make, job));
  }
  for (const order of orders) {
    try {
      const all = cupsToBegin(order, (id) => makes.find(({ make }) => make.id === id)?.make.cups ?? 0);
      for (const [at, cups] of batchesOf(all, cupsAtATime(means.arms)).entries()) {
        const make = await asPlanned(order, cups, { from, workshop, stamp });
        const job = jobToBegin(make, room, namesOf(order, make.design.name, order.makes.length + at, zone));
        jobs.push(job);
        takes.push(...takesOf(make, job));
      }
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      troubles.push({ order: order.id, name: order.who || 'An order', says: error.detail });
    }
  }
  return { jobs, takes, troubles };
}

const namesOf = (order: Order, name: string, at: number, zone: Zone): JobNames => ({
  id: jobOfOrder(order.id, at),
  name,
  who: order.who,
  due: order.due && minuteOf(order.due.day, order.due.time, zone),
});

const jobToBegin = (make: Make, { celsius, now }: { celsius: number; now: number }, names: JobNames): Job => ({
  ...names,
  cups: make.cups,
  from: now,
  before: null,
  works: worksOf(make, celsius),
  begun: null,
  after: null,
});

/** What is left to be taken for a job’s coats. */
const takesOf = (make: Make, { id, works }: Job): readonly JobTake[] =>
  make.steps
    .filter(({ coat }) => works.some(({ key }) => key === coat))
    .flatMap((step) =>
      takenFrom(step, {}).map(({ item, amount }) => ({ job: id, coat: step.coat, title: step.title, item, amount })),
    );

/** Makes on the bench or curing, and those that orders have had of theirs, unless they were given up. */
async function madeLately(
  from: Reading,
  now: number,
  orders: readonly Order[],
): Promise<{ make: Make; entries: readonly LogEntry[]; done: boolean }[]> {
  const own = new Set<string>(orders.flatMap(({ makes }) => makes));
  const rows = await from.store
    .selectFrom('make')
    .where('over', '<', 2)
    .select(['id', 'over', 'standing'])
    .orderBy('at')
    .execute();
  const found: { make: Make; entries: readonly LogEntry[]; done: boolean }[] = [];
  for (const { id, over, standing } of rows) {
    const { opens } = standingSchema.parse(JSON.parse(standing));
    const done = over > 0 && (opens ?? 0) <= now;
    if (done && !own.has(id)) continue;
    found.push({ ...(await new MakesStore(from.store).one(id)), done });
  }
  return found;
}

interface Planning {
  readonly from: Reading;
  readonly workshop: Workshop;
  readonly stamp: string;
}

/** So many cups of an order as they would be begun now. */
async function asPlanned({ id, design, like }: Order, cups: number, { from, workshop, stamp }: Planning): Promise<Make> {
  const { document, revision } = like
    ? await new MakesStore(from.store).one(like).then(({ make }) => ({ document: make.design, revision: make.revision }))
    : await from.designs.newest(design);
  const key = [like ?? design, revision, cups, stamp].join('/');
  const known = planned.get(key);
  if (known) return known;
  if (document.coats.length === 0)
    throw new ProblemError(422, 'No coats', `“${document.name}” has no coats yet: lay some, then its orders can be planned.`);
  const make = makeOf(
    { id: id as string as MakeId, cups, label: '' },
    { design: document, revision, workshop, number: 1, at: new Date().toISOString() },
  );
  if (planned.size >= MOST_PLANNED) planned.clear();
  planned.set(key, make);
  return make;
}
