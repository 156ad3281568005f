import { jobText } from './job';
import { jarNeeds, type JarNeed, type NeedingMake } from '../make';
import type { ShelfItem } from '../stock';
import { tidy } from '../units';
import type { WeekPlan } from './week-plan';

/** What a coat of a job will take of a jar, in what the jar is counted in. */
export interface JobTake {
  readonly job: string;
  /** the coat it is for */
  readonly coat: string;
  readonly title: string;
  readonly item: string;
  readonly amount: number;
}

/** Everything planned, with what it takes when it is planned to be laid. */
function needing({ jobs }: WeekPlan, takes: readonly JobTake[]): readonly NeedingMake[] {
  return jobs.map(({ job, works }) => ({
    called: jobText(job),
    needs: takes
      .filter((take) => take.job === job.id)
      .map(({ coat, title, item, amount }) => {
        // A coat that is laid in one go with those before it is taken for as that go begins; what isn’t planned, at once.
        const at =
          works.findLast(({ work }) => work.key === coat || work.titles.includes(title))?.at ?? works.at(0)?.at ?? job.from;
        return { item, coat: title, amount, due: at * 60_000 };
      }),
  }));
}

/** What all that is planned takes of each jar, and when what runs out does. */
export const weekNeeds = (plan: WeekPlan, takes: readonly JobTake[], shelf: readonly ShelfItem[]): readonly JarNeed[] =>
  jarNeeds(needing(plan, takes), shelf);

/** What is left of a jar, after each coat that takes of it: ms since 1970, and less than nothing where it has run out. */
export function leftOver(
  plan: WeekPlan,
  takes: readonly JobTake[],
  { id, left }: ShelfItem,
): readonly { readonly at: number; readonly left: number }[] {
  if (left === null) return [];
  const own = needing(plan, takes)
    .flatMap(({ needs }) => needs.filter(({ item }) => item === id))
    .sort((one, other) => one.due - other.due);
  let now = left;
  return own.map(({ due, amount }) => ({ at: due, left: (now = tidy(now - amount)) }));
}
