import { randomStream } from '../random';
import { noise, roundBetween } from './noise';
import { levelsOf, type GrainWish, type Pattern } from './pattern';

/** mm that a long and a short stroke run on. */
const LONG = 90;
const SHORT = 14;
/** A streak wanders to either side by so many of its widths, over so many mm. */
const WANDER = { widths: 3, over: 45 } as const;
/** A knot is so much longer along the grain than across it. */
const DRAWN = 2.2;
/** A brush's hairs: mm of a line and how long it runs on; under half of its spots they leave little. */
const HAIR = { wide: 0.7, long: 60 } as const;
/** mm across half a knot, least and most. */
const KNOT = { from: 3, to: 8 } as const;

/** Streaks that run along the grain, wander, part round knots, and are rings within them. */
export function grain(wish: GrainWish): Pattern {
  const { along, strokes, width, shares, seed, round, tall } = wish;
  const upwards = along === 'up';
  const knots = knotsOf(wish);
  // Lattices close round the wall: streaks side by side where the grain goes up, strokes end to end where it goes round.
  const closes = (mm: number) => Math.max(3, Math.round(round / mm));
  const [streaks, wanders] = [closes(width), closes(WANDER.over)];
  const streak = (across: number, on: number, length: number, salt: number) =>
    upwards
      ? noise((across / round) * streaks, on / length, seed + salt, streaks)
      : noise((on / round) * closes(length), across / width, seed + salt, closes(length));
  const value = (turn: number, up: number): number => {
    const [x, y] = [turn * round, up];
    let across = upwards ? x : y;
    const on = Math.max(0, upwards ? y : x);
    for (let i = 0; i < knots.length; i += 1) {
      const knot = knots[i];
      const side = upwards ? roundBetween(knot.x, x, round) : y - knot.y;
      const far = upwards ? y - knot.y : roundBetween(knot.x, x, round);
      const off = Math.sqrt((side / knot.half) ** 2 + (far / (DRAWN * knot.half)) ** 2);
      if (off < 0.7) return noise(off * 7, i, seed + 5);
      if (off < 3) across -= Math.sign(side) * knot.half * 0.7 * Math.exp(-(off - 0.7));
    }
    const wander = upwards ? noise(0.37, on / WANDER.over, seed + 3) : noise((on / round) * wanders, 0.37, seed + 3, wanders);
    across += (wander - 0.5) * 2 * WANDER.widths * width;
    if (strokes === 'long') return streak(across, on, LONG, 0);
    const short = streak(across, on, SHORT, 1);
    return strokes === 'short' ? short : 0.6 * streak(across, on, LONG, 0) + 0.4 * short;
  };
  // Tones lie side by side in the order they are named, what stays bare last.
  const levels = levelsOf(value, tall, shares);
  const hairs = closes(upwards ? HAIR.wide : HAIR.long);
  const thick = (turn: number, up: number) =>
    noise(turn * hairs, up / (upwards ? HAIR.long : HAIR.wide), seed + 9, hairs) > 0.5 ? 1 : 0;
  return {
    classes: 2 * shares.length + 1,
    classAt(turn, up) {
      const here = value(turn, up);
      const tone = levels.findIndex((level) => here < level);
      return tone < 0 ? 0 : 1 + 2 * tone + thick(turn, up);
    },
  };
}

function knotsOf({ knots, seed, round, tall }: GrainWish) {
  const random = randomStream(seed * 7919 + 11);
  return Array.from({ length: knots }, () => ({
    x: random() * round,
    y: (0.08 + 0.84 * random()) * tall,
    half: KNOT.from + (KNOT.to - KNOT.from) * random(),
  }));
}
