import { cardOf, cupDrawing, planOf } from '@aurantia/core';
import type { Reading } from '../aside/reading';
import { cardPdf } from './card-pdf';

export interface CardAsked {
  readonly id: string;
  /** null for the workshop's own */
  readonly paper: 'A4' | 'Letter' | null;
}

export interface CardMade {
  /** the design's */
  readonly name: string;
  readonly pdf: Uint8Array;
}

/** A design's printed card, as a PDF. */
export async function cardPages({ id, paper }: CardAsked, from: Reading): Promise<CardMade> {
  const { document } = await from.designs.newest(id);
  const { workshop } = await from.workshop();
  const { settings } = workshop;
  const plan = planOf(document, workshop);
  const pdf = await cardPdf(cardOf(plan, document, settings), cupDrawing(plan, document.cup), paper ?? settings.paper);
  return { name: document.name, pdf };
}
