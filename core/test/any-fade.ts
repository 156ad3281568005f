import {
  deltaE2000,
  potSlots,
  randomStream,
  reflectanceOf,
  type FadeMix,
  type FadeWish,
  type Lab,
  type WishedStop,
} from '../src';
import { jar } from './workshop';

export const under = reflectanceOf('#d9a441');
export const mix = (...ids: string[]): FadeMix => ({
  name: ids.join(' and '),
  parts: ids.map((id) => ({ item: jar(id).id, name: jar(id).name, glitter: jar(id).flake, finish: jar(id).finish, ml: 1 })),
});
export const stop = (at: number, of: FadeMix, cover = 1): WishedStop => ({ at, mix: of, cover, under });
export const ends = (from: FadeMix, to: FadeMix) => [stop(0, from), stop(1, to)];
export const wish = (stops: readonly WishedStop[], change: Partial<FadeWish> & { pots?: number } = {}): FadeWish => {
  const slots = potSlots(stops, change.pots ?? 5);
  return {
    stops,
    slots,
    areas: slots.map(({ from, to }) => 400 * (to - from)),
    along: slots.map(({ from, to }) => 160 * (to - from)),
    overlap: 12,
    hold: 2.4,
    passes: 1,
    depth: 1.7,
    step: 0.5,
    castOff: false,
    ...change,
  };
};
export const stepsBetween = (labs: readonly Lab[]) => labs.slice(1).map((lab, i) => deltaE2000(labs[i], lab));

/** Fades a maker would lay, drawn by a seed: any two jars or one thinning out, four to nine pots, cups that widen. */
export function anyFades(count: number, look: (asked: FadeWish) => void): void {
  const random = randomStream(20261126);
  const one = <Value>(of: readonly Value[]): Value => of[Math.floor(random() * of.length)];
  const jars = ['bee-line', 'brickfield', 'kiln-ash', 'first-frost', 'candle-end', 'lamp-oil', 'rust-road', 'thistledown'];
  for (let i = 0; i < count; i += 1) {
    const [from, to] = [mix(one(jars)), mix(one(jars))];
    const thin = random() < 0.5;
    const stops = thin ? (random() < 0.5 ? thinning(from) : [stop(0, from, 0.1), stop(1, from)]) : ends(from, to);
    const area = 150 + random() * 250;
    const widens = 1 + random() * 0.4;
    const pots = 4 + Math.floor(random() * 6);
    const slots = potSlots(stops, pots);
    const areas = slots.map((slot) => area * (slot.to - slot.from) * (1 + (widens - 1) * slot.from));
    look(wish(stops, { pots, slots, areas, depth: 1.2 + random() * 1.4, castOff: random() < 0.3, step: one([0.25, 0.5, 1]) }));
  }
}
export const thinning = (of: FadeMix) => [stop(0, of), stop(1, of, 0)];
