import { cardOf, cupDrawing, planOf } from '@aurantia/core';
import type { Reading } from '../aside/reading';
import { cardPdf } from './card-pdf';

export interface CardAsked {
  readonly id: string;
  /** null for the workshop's own */
  readonly paper: 'A4' | 'Letter' | null;
}

/** A design's printed card, as a PDF. */
export async function cardPages({ id, paper }: CardAsked, from: Reading): Promise<Uint8Array> {
  const { document } = await from.designs.newest(id);
  const { workshop } = await from.workshop();
  const { settings } = workshop;
  const plan = planOf(document, workshop);
  return cardPdf(cardOf(plan, document, settings), cupDrawing(plan, document.cup), paper ?? settings.paper);
}
