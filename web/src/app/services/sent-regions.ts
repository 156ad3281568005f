import type { Region } from '@aurantia/core';
import type { Mark } from '../drawn/drawing';
import type { DrawingsRequest, NumberedMark } from '../workers/drawings-request';

/** Regions that a worker has, by number: each is copied to it once, however many steps of a drag draw it. */
export class SentRegions {
  private readonly numbers = new Map<Region, number>();
  /** what each canvas shows */
  private readonly shown = new Map<HTMLCanvasElement, ReadonlySet<Region>>();
  private last = 0;

  /** What has to be sent so that a canvas can show these marks. */
  send(
    canvas: HTMLCanvasElement,
    marks: readonly Mark[],
  ): Pick<DrawingsRequest, 'come' | 'go'> & { marks: readonly NumberedMark[] } {
    for (const one of this.shown.keys()) if (!one.isConnected) this.shown.delete(one);
    this.shown.set(canvas, new Set(marks.map(({ region }) => region)));
    const needed = new Set([...this.shown.values()].flatMap((regions) => [...regions]));
    const go = [...this.numbers].filter(([region]) => !needed.has(region));
    for (const [region] of go) this.numbers.delete(region);
    const come: [number, Region][] = [];
    const numberOf = (region: Region): number => {
      const known = this.numbers.get(region);
      if (known !== undefined) return known;
      this.last += 1;
      this.numbers.set(region, this.last);
      come.push([this.last, region]);
      return this.last;
    };
    const numbered = marks.map((mark) => ({ ...mark, region: numberOf(mark.region) }));
    return { come, go: go.map(([, number]) => number), marks: numbered };
  }

  /** A canvas needs none of them any more; what only it showed goes with the next drawing. */
  leave(canvas: HTMLCanvasElement): void {
    this.shown.delete(canvas);
  }
}
