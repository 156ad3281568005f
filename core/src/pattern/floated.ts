import { randomStream } from '../random';
import type { FloatedWish, Pattern } from './pattern';

/**
 * Drops let fall on water one after the other. A drop of radius r at C pushes what floats at P to `C + (P − C)·√(1 + r²/|P − C|²)`,
 * which keeps every area (S. Lu et al., “Mathematical marbling”, IEEE Computer Graphics and Applications 32, 2012). Asked
 * backwards, from the last drop to the first: a spot within a drop has its colour, any other lay nearer to it before. The water is
 * flat: where the cup has rolled over it once, its end lies beside its beginning, at the seam.
 */
export function floated({ colours, across, seed, round, tall }: FloatedWish): Pattern {
  const random = randomStream(seed * 104729 + 3);
  const rounds = Math.max(...colours.map(({ drops }) => drops));
  const falls = Array.from({ length: rounds }, (_, turn) =>
    colours.flatMap(({ drops }, colour) => (turn < drops ? [colour] : [])),
  )
    .flat()
    .map((colour) => ({ colour, x: random() * round, y: random() * tall }));
  const reach = (across / 2) ** 2;
  return {
    classes: colours.length + 1,
    classAt(turn, up) {
      let x = turn * round;
      let y = up;
      for (let at = falls.length - 1; at >= 0; at -= 1) {
        const drop = falls[at];
        const dx = x - drop.x;
        const dy = y - drop.y;
        const off = dx * dx + dy * dy;
        if (off < reach) return drop.colour + 1;
        const nearer = Math.sqrt(1 - reach / off);
        x = drop.x + dx * nearer;
        y = drop.y + dy * nearer;
      }
      return 0;
    },
  };
}
