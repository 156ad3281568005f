import { groundLook } from '../look';
import type { PlannedPiece } from '../pieces';
import { offLine, regionPixels, wallLines, type WallPicture } from '../regions';
import type { Station } from '../vessel';
import type { FieldRegion } from './field';

/** A place of the wall in a picture. */
export interface FieldPlace extends FieldRegion {
  readonly id: string;
}

/** A picture of the wall that knows how wide its pixels are. */
interface ScaledPicture extends WallPicture {
  /** pixels a mm round the wall at a row */
  readonly columnsPerMm: (row: number) => number;
}

/**
 * Places with the pieces that hide part of them: what a piece covers of a place is a part of its own, for what later coats
 * lay on the place lies on the piece too. A later piece covers an earlier one.
 */
export function withPieces(
  places: readonly FieldPlace[],
  pieces: readonly PlannedPiece[],
  picture: ScaledPicture,
  stations: readonly Station[],
): readonly FieldRegion[] {
  const seen = pieces.flatMap(({ hides, ...piece }) => (hides === null ? [] : [{ ...piece, hides }]));
  if (seen.length === 0) return places;
  const onTop = new Uint8Array(picture.width * picture.height);
  seen.forEach(({ region, line }, at) => {
    const pixels = line === null ? regionPixels(region, picture) : linePixels(wallLines(region, stations), line, picture);
    for (const pixel of pixels) onTop[pixel] = at + 1;
  });
  const covered: FieldRegion[] = [];
  const open = places.map(({ id, pixels, look }): FieldRegion => {
    const under = seen.map((): number[] => []);
    const free = pixels.filter((pixel) => {
      if (onTop[pixel] > 0) under[onTop[pixel] - 1].push(pixel);
      return onTop[pixel] === 0;
    });
    under.forEach((hidden, at) => {
      if (hidden.length === 0) return;
      const { hides, over } = seen[at];
      covered.push({ pixels: Uint32Array.from(hidden), look: [groundLook(hides), ...(id in over ? over[id] : [])] });
    });
    return { pixels: free, look };
  });
  return [...open, ...covered];
}

/** The pixels within half a line's width of some lines on the wall, mm; some of them twice. */
function linePixels(
  lines: ReturnType<typeof wallLines>,
  width: number,
  { width: columns, height: rows, top, rowsPerMm, columnsPerMm }: ScaledPicture,
): readonly number[] {
  const pixels: number[] = [];
  const half = width / 2;
  const mark = ([fromAngle, fromHeight]: readonly [number, number], [toAngle, toHeight]: readonly [number, number]) => {
    const [low, high] = [Math.min(fromHeight, toHeight) - half, Math.max(fromHeight, toHeight) + half];
    const last = Math.min(rows - 1, Math.floor((top - low) * rowsPerMm));
    for (let row = Math.max(0, Math.floor((top - high) * rowsPerMm)); row <= last; row += 1) {
      const perMm = columnsPerMm(row);
      const [from, to] = [(fromAngle / 360) * columns, (toAngle / 360) * columns];
      const up = top - (row + 0.5) / rowsPerMm;
      const reach = half * perMm;
      for (let column = Math.floor(Math.min(from, to) - reach); column <= Math.max(from, to) + reach; column += 1) {
        const off = offLine([(column + 0.5) / perMm, up], [from / perMm, fromHeight], [to / perMm, toHeight]);
        if (off <= half) pixels.push(row * columns + (((column % columns) + columns) % columns));
      }
    }
  };
  for (const line of lines) for (let i = 1; i < line.length; i += 1) mark(line[i - 1], line[i]);
  return pixels;
}
