import { randomStream, seedOf } from '../random';
import type { FieldRequest } from './field';
import { BAND, type FlakeLayer } from './flake-layer';
import { STAMPS } from './stamps';
import { TILT_BITS, TILTS } from './tilt';

/** Some rows of a picture under work: those from one up to another. */
export interface FieldStripe {
  readonly from: number;
  readonly to: number;
  /** part by pixel of the whole picture, from 1; null while one part has all of it */
  readonly owner: Uint16Array | null;
  /** by pixel of these rows: the number of its stack × 64 + the tilt of the flake on top */
  readonly tokens: Uint16Array;
}

/**
 * Rounds in which all of a layer falls, downwards and upwards by turns: in one, the coarse flakes of each band would lie
 * on top of the one before, over its edge.
 */
const ROUNDS = 8;

/**
 * Drops those flakes of a layer that reach into some rows, each where it falls: the same on each pixel, however many
 * stripes the picture is made in. Yields after every band of a round.
 */
export function* dropFlakes(request: FieldRequest, layer: FlakeLayer, stripe: FieldStripe): Generator<undefined, void> {
  const spare = Math.ceil(layer.reach / BAND);
  const bandOf = (row: number) => Math.floor(row / BAND);
  const own = [bandOf(layer.shape.first), bandOf(layer.shape.last)];
  const from = Math.max(own[0], bandOf(stripe.from) - spare);
  const to = Math.min(own[1], bandOf(stripe.to - 1) + spare);
  const rounds = own[0] === own[1] ? 1 : ROUNDS;
  for (let round = 0; round < rounds; round += 1)
    for (let i = 0; i <= to - from; i += 1) {
      const band = round % 2 === 0 ? from + i : to - i;
      const { count } = layer.bands[band];
      const [done, due] = [round, round + 1].map((so) => Math.floor((count * so) / rounds));
      if (due === done) continue;
      dropBand(request, layer, stripe, { band, round, count: due - done });
      yield;
    }
}

/** Drops what falls in one band of a layer in one round. A loop that runs millions of times: it is written flat. */
function dropBand(
  { width, height, wraps, seed }: FieldRequest,
  layer: FlakeLayer,
  stripe: FieldStripe,
  { band, round, count }: { readonly band: number; readonly round: number; readonly count: number },
): void {
  const { stamps, around, kinds, hiding, table } = layer;
  const { part, pixels, unbroken, scales, even, narrowest, first: firstRow, last: lastRow, level } = layer.shape;
  const { from: begin, to: until, outside, groups, edges } = layer.bands[band];
  const { from, to, owner, tokens } = stripe;
  const random = randomStream(seedOf(`${seed}/${part}/${layer.layer}/${band}/${round}`));
  const here = until - begin;
  const several = groups.length > 1;
  const top = Math.max(0, from);
  const bottom = Math.min(height, to);
  const shift = from * width;
  // Asked for at every flake: at hand, not in another file.
  const [bits, tilts, drawn, chances] = [TILT_BITS, TILTS, STAMPS, STAMPS * TILTS];
  for (let dropped = 0; dropped < count; dropped += 1) {
    let group = 0;
    if (several) {
      const chosen = random();
      while (group < groups.length - 1 && chosen >= edges[group]) group += 1;
    }
    const pick = groups[group];
    const inside = pick < kinds;
    const k = inside ? pick : pick - kinds;
    let row = 0;
    let column = 0;
    // the nearest of the part's own rows
    let known = 0;
    // Wider rows take more flakes: keep a row in proportion to the mm it stands for.
    if (inside) {
      let at = begin + ((random() * here) | 0);
      at = unbroken ? pixels[0] + at : pixels[at];
      row = (at / width) | 0;
      while (!even && random() * scales[row] > narrowest) {
        at = pixels[begin + ((random() * here) | 0)];
        row = (at / width) | 0;
      }
      column = at - row * width;
    } else {
      const { places } = around[k];
      const { first, many: near } = outside[k];
      do {
        const place = first + ((random() * near) | 0);
        row = places[2 * place];
        column = places[2 * place + 1];
        known = row < firstRow ? firstRow : row > lastRow ? lastRow : row;
      } while (!even && random() * scales[known] > narrowest);
    }
    const chance = (random() * chances) | 0;
    const tilt = chance & (tilts - 1);
    const { spans, starts } = stamps[k];
    const stamp = level[inside ? row : known] * drawn + (chance >> bits);
    const lastSpan = starts[stamp + 1];
    const hides = hiding[k];
    const flat = (table[k] << bits) | tilt;
    for (let s = starts[stamp]; s < lastSpan; s += 3) {
      const y = row + spans[s];
      if (y < top || y >= bottom) continue;
      const start = y * width;
      let x = column + spans[s + 1];
      const end = column + spans[s + 2];
      if (x >= 0 && end <= width) {
        if (hides) {
          if (owner === null) for (let at = start + x - shift; at < start + end - shift; at += 1) tokens[at] = flat;
          else for (let at = start + x; at < start + end; at += 1) if (owner[at] === part) tokens[at - shift] = flat;
        } else
          for (let at = start + x; at < start + end; at += 1)
            if (owner === null || owner[at] === part)
              tokens[at - shift] = (table[(tokens[at - shift] >> bits) * kinds + k] << bits) | tilt;
      } else
        for (; x < end; x += 1) {
          if (!wraps && (x < 0 || x >= width)) continue;
          const at = start + ((x + width) % width);
          if (owner === null || owner[at] === part)
            tokens[at - shift] = (table[(tokens[at - shift] >> bits) * kinds + k] << bits) | tilt;
        }
    }
  }
}
