import { makeOf, makeSchema, type Make, type MakeWish } from '@aurantia/core/make';
import type { Reading } from '../aside/reading';

export interface MakeAsked {
  readonly wish: MakeWish;
  readonly number: number;
  readonly at: string;
}

/** A make, frozen from the design as it was kept last and the workshop as it is; refused where there is nothing to lay. */
export async function frozenMake({ wish, number, at }: MakeAsked, from: Reading): Promise<Make> {
  const { document, revision } = await from.designs.newest(wish.design);
  const { workshop } = await from.workshop();
  return makeSchema.parse(makeOf(wish, { design: document, revision, workshop, number, at }));
}
