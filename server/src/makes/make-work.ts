import { makeOf, makeSchema, type Make, type MakeWish } from '@aurantia/core/make';
import type { Cup, Design, Workshop } from '@aurantia/core';
import { refit, usualWays } from '@aurantia/core/refit';
import { ProblemError } from '../http/problem';
import { MakesStore } from './makes-store';
import type { Reading } from '../aside/reading';

export interface MakeAsked {
  readonly wish: MakeWish;
  readonly number: number;
  readonly at: string;
}

/** A make, frozen from the design as it was kept last and the workshop as it is; refused where there is nothing to lay. */
export async function frozenMake({ wish, number, at }: MakeAsked, from: Reading): Promise<Make> {
  const { document, revision } = wish.like ? await frozenDesign(wish.like, from) : await from.designs.newest(wish.design);
  const { workshop } = await from.workshop();
  const design = onItsCup(document, wish.cup, workshop);
  return makeSchema.parse(makeOf(wish, { design, revision, workshop, number, at }));
}

/** The design of an earlier make, as it was then. */
async function frozenDesign(like: string, from: Reading): Promise<{ document: Design; revision: number }> {
  const { make } = await new MakesStore(from.store).one(like);
  return { document: make.design, revision: make.revision };
}

/** The design as it goes on the cup that is really there. */
function onItsCup(design: Design, cup: Cup | undefined, workshop: Workshop): Design {
  if (!cup || JSON.stringify(cup) === JSON.stringify(design.cup)) return design;
  const on = refit(design, cup, usualWays, workshop);
  if (!on.fits) throw new ProblemError(422, 'Doesn’t fit', `${on.says} Or make it on another cup.`);
  return on.design;
}
