import { readyAfter, closesAfter, groundOf, turnedAt, type WeekWish } from './ground';
import { hoursOf } from './working-hours';
import type { PlannedWork, WeekPlan } from './week-plan';

/**
 * What is wrong with a plan, told from the plan and the wish alone, without what made it: hands or arms that two works share,
 * waits too short or too long, work outside anybody's hours, pins that moved. Nothing is said of a plan that is right.
 */
export function faultsOfWeek(wish: WeekWish, { jobs }: WeekPlan): readonly string[] {
  const ground = groundOf(wish);
  const faults: string[] = [];
  const planned = jobs.flatMap(({ job, works }) => works.map((one, at) => ({ ...one, job, at0: at })));
  const named = ({ work, job }: (typeof planned)[number]) => `${job.id}/${work.key}`;
  for (const { job, works } of jobs)
    works.forEach((one, at) => {
      const before = works.at(at - 1);
      const laid = one.at + one.work.hands;
      if (one.laid !== laid || one.ready !== readyAfter(ground, one.work, laid))
        faults.push(`${job.id}/${one.work.key}: wrong waits`);
      const ready = job.after ? readyAfter(ground, job.after.work, job.after.laid) : 0;
      if (at === 0 && !job.begun && one.at < Math.max(job.from, ready, wish.now)) faults.push(`${job.id}: begun too early`);
      if (at === 0 || !before) return;
      if (one.at < readyAfter(ground, before.work, before.laid)) faults.push(`${job.id}/${one.work.key}: waits too short`);
      const closes = closesAfter(ground, before.work, before.laid);
      if (closes !== null && one.at > closes) faults.push(`${job.id}/${one.work.key}: waits too long`);
    });
  const days = { from: wish.now, days: ground.days, zone: wish.zone };
  for (const person of wish.means.people) {
    const hours = hoursOf(person, wish.blocks, days);
    const own = planned.filter((one) => one.person === person.id).sort((one, other) => one.at - other.at);
    own.forEach((one, at) => {
      const next = own.at(at + 1);
      if (next && next.at < one.laid) faults.push(`${named(one)} and ${named(next)} share hands`);
      const under = one.at0 === 0 && one.job.begun !== null;
      if (!under && !hours.some(({ from, until }) => from <= one.at && one.laid <= until))
        faults.push(`${named(one)}: nobody is there`);
    });
  }
  for (const one of planned)
    if (one.work.hands > 0 && one.person === null && !one.job.begun) faults.push(`${named(one)}: no hands`);
  const waiting = wish.jobs.flatMap(({ after, begun }): readonly Holding[] =>
    after && !begun ? [{ ...after, at: after.laid, ready: readyAfter(ground, after.work, after.laid) }] : [],
  );
  const holding: readonly Holding[] = [...planned, ...waiting];
  faults.push(
    ...overfull(holding, wish.means.arms, 'arms', (one) => [one.at, turnedAt(ground, one.work, one.laid), one.work.turns]),
    ...overfull(holding, wish.means.spraying, 'places to spray', (one) => [one.at, one.laid, one.work.sprays]),
    ...overfull(holding, wish.means.hooks, 'hooks', (one) => [one.laid, one.ready, one.work.hangs]),
  );
  return faults;
}

/** What holds arms, hooks or the place to spray: planned, or done before and waiting still. */
type Holding = Pick<PlannedWork, 'work' | 'at' | 'laid' | 'ready'>;
type Held = readonly [from: number, until: number, many: number];

function overfull(holding: readonly Holding[], most: number, what: string, heldBy: (one: Holding) => Held): readonly string[] {
  const changes = holding
    .map(heldBy)
    .filter(([from, until, many]) => many > 0 && until > from)
    .flatMap(([from, until, many]) => [
      { at: from, by: many },
      { at: until, by: -many },
    ])
    .sort((one, other) => one.at - other.at || one.by - other.by);
  let taken = 0;
  for (const { by } of changes) if ((taken += by) > most) return [`more ${what} than there are`];
  return [];
}
