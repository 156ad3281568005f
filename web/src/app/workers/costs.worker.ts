/// <reference lib="webworker" />
import { makeOf, type MakeId } from '@aurantia/core/make';
import { plannedCost, savingsOf } from '@aurantia/core/money';
import type { CostsReply, CostsRequest } from './costs-request';

/** Counts what cups of a design cost, as many at once as are asked for. */
addEventListener('message', ({ data: { design, workshop, prices, cups } }: MessageEvent<CostsRequest>) => {
  const say = (reply: CostsReply) => postMessage(reply);
  if (design.coats.length === 0)
    return say({ sentence: 'This design has no coats yet: lay some, then it is told what they cost.' });
  const made = cups.map((count) =>
    makeOf(
      { id: design.id as string as MakeId, cups: count, label: '' },
      { design, revision: 1, workshop, number: 1, at: new Date().toISOString() },
    ),
  );
  const costs = made.map((make) => plannedCost(make, prices));
  const savings = made[0] ? savingsOf(made[0], costs[0], workshop.shelf) : [];
  say({ costs, savings, titles: made[0]?.steps.map(({ coat, title }) => ({ coat, title })) ?? [] });
});
