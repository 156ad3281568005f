/** Where a pot lies on the way of a fade. Shares of the way, 0 where it begins. */
export interface PotSlot {
  /** the stop it is of, or comes after */
  readonly stop: number;
  /** which of the `of` equal steps to the next stop it is; 0 at the stop itself */
  readonly step: number;
  readonly of: number;
  readonly from: number;
  readonly to: number;
}

/**
 * Every stop takes a pot of its own, unless it is bare; the pots left over are dealt out between, always where the
 * gap to fill is widest. Only places count here, not colours, so that a cup can be split up before it has any.
 * @param stops in order of `at`
 * @param pots at least as many as stops that cover
 */
export function potSlots(stops: readonly { readonly at: number; readonly cover: number }[], pots: number): readonly PotSlot[] {
  const bare = stops.filter(({ cover }) => cover === 0).length;
  const between = stops.slice(1).map(() => 0);
  const gap = (i: number) => (stops[i + 1].at - stops[i].at) / (between[i] + 1);
  for (let left = pots - (stops.length - bare); left > 0; left -= 1)
    between[between.reduce((widest, _, i) => (gap(i) > gap(widest) + 1e-9 ? i : widest), 0)] += 1;
  const all = pots + bare;
  const centre = (at: number) => (0.5 + at * (all - 1)) / all;
  const centres = stops.flatMap(({ at, cover }, stop) => {
    const of = (between[stop] ?? 0) + 1;
    const next = stops[stop + 1]?.at ?? at;
    return Array.from({ length: of }, (_, step) => ({
      stop,
      step,
      of,
      poured: step > 0 || cover > 0,
      centre: centre(at + ((next - at) * step) / of),
    }));
  });
  const bound = (i: number) => (i === 0 ? 0 : i === centres.length ? 1 : (centres[i - 1].centre + centres[i].centre) / 2);
  const wide = centres.map((_, i) => bound(i + 1) - bound(i));
  // A bare stop takes no pot; its neighbours share the wall.
  const whole = wide.reduce((sum, one, i) => sum + (centres[i].poured ? one : 0), 0);
  let from = 0;
  return centres.flatMap(({ stop, step, of, poured }, i) => {
    if (!poured) return [];
    const to = from + wide[i] / whole;
    const slot = { stop, step, of, from, to: i === centres.length - 1 ? 1 : Math.min(1, to) };
    from = to;
    return [slot];
  });
}
