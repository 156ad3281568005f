import { wetColours, type WetWish } from '@aurantia/core/wet';
import { turnedSlowly, type Ridge } from '../core/test/turned-slowly';
import { share, type Row } from './measure';

/** Twelve strings of two pots on a tapered cup, wandering, in slow resin laid when it has rested. */
const twelve: WetWish = {
  stations: [
    { height: 0, circumference: 200 },
    { height: 150, circumference: 262 },
  ],
  film: 0.4,
  drive: { viscosity: 800, potLife: 25, density: 1.05, rpm: 5, lean: 0, rest: 8 },
  laying: { way: 'up', count: 12, reach: null, slope: 10, wander: 6, edge: null, apart: 8, seed: 3 },
  width: 4,
  pots: [2, 2],
  air: null,
};
const MINUTES = 20;

/** One line on a stretch of wall: what the plain way can be waited for with. */
const line: Omit<Ridge, 'averaged'> = {
  round: 120,
  cells: 80,
  film: 0.4,
  ridge: { width: 12, height: 0.2 },
  minutes: 10,
  drive: twelve.drive,
};

function timed(work: () => unknown): number {
  const begun = performance.now();
  work();
  return performance.now() - begun;
}

/** Strings running: whole cups in seconds, and a single line against taking every turn as it comes. */
export function wetRow(): Row {
  const run = () => {
    for (const { wet } of wetColours(twelve, [MINUTES])) if (wet) return wet;
    return null;
  };
  run();
  const whole = Array.from({ length: 5 }, () => timed(run));
  const ratios = Array.from(
    { length: 5 },
    () => timed(() => turnedSlowly(line)) / timed(() => turnedSlowly({ ...line, averaged: true })),
  );
  ratios.sort((a, b) => a - b);
  const seconds = share(whole, 0.5) / 1000;
  return {
    what: `12 strings over ${MINUTES} min of cure (and one line for 10 min, averaged over the turns against every turn in explicit steps)`,
    figure: `${seconds.toFixed(1)} s (${(Math.min(...whole) / 1000).toFixed(1)}–${(Math.max(...whole) / 1000).toFixed(1)}), ${(MINUTES / seconds).toFixed(1)} min a second; ${share(ratios, 0.5).toFixed(0)} × (${ratios[0].toFixed(0)}–${ratios[4].toFixed(0)}) as fast`,
    aim: 'under 3 s',
  };
}
