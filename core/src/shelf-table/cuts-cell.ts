import type { Glitter } from '../glitter';
import { readFigure, tidy } from '../units';

/** Further cuts of a jar in one cell: `0.6 mm 30 %; 1 mm 20 %`. */
export const cutsCell = (mixed: Glitter['mixed']): string =>
  (mixed ?? []).map(({ cut, share }) => `${cut} mm ${tidy(Number((share * 100).toFixed(1)))} %`).join('; ');

/** The cuts a cell names; null when it can't be read. */
export function readCuts(cell: string): Glitter['mixed'] | null {
  const cuts = cell.split(';').map((one) => {
    const [, cut, share] = /^\s*([\d.,]+)\s*(?:mm)?\s+([\d.,]+)\s*%?\s*$/i.exec(one) ?? [];
    return { cut: readFigure(cut ?? ''), share: readFigure(share ?? '') };
  });
  const read = cuts.flatMap(({ cut, share }) => (cut === null || share === null ? [] : [{ cut, share: tidy(share / 100) }]));
  return read.length === cuts.length ? read : null;
}
