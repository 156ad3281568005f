import { hexOf, linearRgbOf, mixSpectra, type Spectrum } from '../colour';
import { lookSpectrum } from '../look';
import { runsOfPart } from './around-part';
import { dropFlakes } from './drop-flakes';
import type { FieldPart, FieldRequest, FlakeField } from './field';
import { BAND, flakeLayer, type FlakeLayer } from './flake-layer';
import { fieldColours } from './lit-field';
import { PartShape } from './part-shape';
import { lightOf, MOST_STACKS, Stacks } from './stacks';
import { TILT_BITS } from './tilt';

/** A picture that is got ready: each part with its stacks and its layers, before a single flake has fallen. */
export interface FieldWork {
  readonly request: FieldRequest;
  readonly owner: FlakeField['owner'];
  readonly parts: readonly FieldPartWork[];
  /** how it will look, the bare wall first */
  readonly looks: readonly FieldPart[];
  readonly flakes: number;
}

interface FieldPartWork {
  readonly pixels: Uint32Array;
  readonly stacks: Stacks;
  readonly layers: readonly FlakeLayer[];
}

/** Some rows of a picture, done: what lies on each pixel, and how often each stack is met in each part. */
export interface DroppedStripe {
  readonly from: number;
  readonly to: number;
  readonly tokens: Uint16Array<ArrayBuffer>;
  readonly times: readonly Float64Array<ArrayBuffer>[];
}

/**
 * Drops every flake where it falls, at true scale, and counts what stays bare and what is seen. Flakes smaller
 * than a pixel are drawn as one, so the bare share stays `e^(−depth)`.
 */
export function flakeField(request: FieldRequest): FlakeField {
  const work = fieldWork(request);
  return fieldOf(work, [droppedStripe(work, 0, request.height)]);
}

/** Gets a picture ready. The same for the same request, whoever does it. */
export function fieldWork(request: FieldRequest): FieldWork {
  const { ground, regions } = request;
  const parts = regions.map(({ pixels, look }, index): FieldPartWork => {
    // Paint hides all below it: only what lies on the last coat of it is seen.
    const last = look.findLastIndex(({ layer }) => layer === 'ground');
    const paint = look.at(last);
    const stacks = new Stacks(last >= 0 && paint?.layer === 'ground' ? paint.colour : ground);
    const shape = pixels.length === 0 ? null : new PartShape(request, index, pixels);
    const layers = look.slice(last + 1).flatMap((layer, i) => {
      if (layer.layer === 'film') stacks.layFilm(layer.film);
      if (layer.layer === 'gloss') stacks.layGloss(lookSpectrum(look.slice(0, last + 1 + i), ground));
      if (layer.layer !== 'flakes' || layer.depth <= 0 || layer.flakes.length === 0 || shape === null) return [];
      return [flakeLayer(shape, i, layer, stacks)];
    });
    return { pixels, stacks, layers };
  });
  return {
    request,
    owner: ownersOf(request),
    parts,
    looks: [new Stacks(ground), ...parts.map(({ stacks }) => stacks)].map(partOf),
    flakes: parts.reduce((sum, { layers }) => sum + layers.reduce((all, { inside }) => all + inside, 0), 0),
  };
}

/** Where a picture is cut so that so many hands have about as much to do each: rows, from 0 to its height. */
export function stripesOf(height: number, hands: number): readonly number[] {
  const bands = Math.ceil(height / BAND);
  const cuts = Array.from({ length: hands + 1 }, (_, i) => Math.min(height, Math.round((bands * i) / hands) * BAND));
  return [...new Set(cuts)];
}

/** The rows of a picture from one up to another, with every flake that reaches into them. */
export function droppedStripe(work: FieldWork, from: number, to: number): DroppedStripe {
  const steps = droppedStripeSteps(work, from, to);
  for (;;) {
    const { value, done } = steps.next();
    if (done) return value;
  }
}

/** The same in small steps, between which something else may be looked at. */
export function* droppedStripeSteps(work: FieldWork, from: number, to: number): Generator<undefined, DroppedStripe> {
  const { request, owner, parts } = work;
  const { width } = request;
  const tokens = new Uint16Array(width * (to - from));
  const stripe = { from, to, owner, tokens };
  for (const part of parts) for (const layer of part.layers) yield* dropFlakes(request, layer, stripe);
  const times = parts.map(({ layers: own }) => {
    const met = new Float64Array(MOST_STACKS);
    const [first] = own;
    if (first === undefined) return met;
    const { runs, first: top } = first.shape.runs;
    for (let row = Math.max(from, top); row < Math.min(to, top + runs.length); row += 1) {
      const start = (row - from) * width;
      const along = runs[row - top];
      for (let i = 0; i < along.length; i += 2)
        for (let at = start + along[i]; at < start + along[i + 1]; at += 1) met[tokens[at] >> TILT_BITS] += 1;
    }
    return met;
  });
  return { from, to, tokens, times };
}

/** The picture that some stripes make together: all of its rows, in any order. */
export function fieldOf(work: FieldWork, stripes: readonly DroppedStripe[]): FlakeField {
  const { width, height } = work.request;
  let tokens = stripes[0].tokens;
  if (stripes.length > 1) {
    tokens = new Uint16Array(width * height);
    for (const stripe of stripes) tokens.set(stripe.tokens, stripe.from * width);
  }
  return { ...pictureOf(work, tokens), ...counted(work, stripes) };
}

const pictureOf = ({ request, owner, looks, flakes }: FieldWork, tokens: Uint16Array<ArrayBuffer>): FlakeField => ({
  width: request.width,
  height: request.height,
  tokens,
  owner,
  parts: looks,
  colours: request.light ? fieldColours(looks, request.light) : null,
  bareShare: null,
  flakes,
  seen: null,
  done: 1,
});

const partOf = ({ all, flakes }: Stacks): FieldPart => ({
  stacks: all.map(({ seen, glint }) => ({
    seen: linearRgbOf(seen),
    glint: glint && linearRgbOf(glint.spectrum),
    flake: glint?.flake ?? 0,
  })),
  flakes: flakes.map(({ colour, kind, finish }) => ({ colour, kind, finish })),
});

/** What lies bare and what is seen, counted pixel by pixel on the parts that have flakes. */
function counted(work: FieldWork, stripes: readonly DroppedStripe[]): Pick<FlakeField, 'bareShare' | 'seen'> {
  let [wanted, bare] = [0, 0];
  const light: Spectrum[] = [];
  work.parts.forEach(({ pixels, stacks, layers }, part) => {
    if (layers.length === 0) return;
    const times = new Float64Array(MOST_STACKS);
    for (const stripe of stripes) stripe.times[part].forEach((count, at) => (times[at] += count));
    wanted += pixels.length;
    stacks.all.forEach(({ glint }, at) => (bare += glint ? 0 : times[at]));
    light.push(lightOf(stacks.all, times));
  });
  if (wanted === 0) return { bareShare: null, seen: null };
  const mean = mixSpectra(
    light,
    light.map(() => 1 / wanted),
  );
  return { bareShare: bare / wanted, seen: hexOf(mean) };
}

/** Which part each pixel belongs to, from 1; null while one part has all. */
function ownersOf({ width, height, regions }: FieldRequest): FlakeField['owner'] {
  if (regions.length === 1 && regions[0].pixels.length === width * height) return null;
  const owner = new Uint16Array(width * height);
  regions.forEach(({ pixels }, index) => {
    if (pixels.length === 0) return;
    const { first, runs } = runsOfPart(pixels, width);
    runs.forEach((along, i) => {
      const start = (first + i) * width;
      for (let run = 0; run < along.length; run += 2) owner.fill(index + 1, start + along[run], start + along[run + 1]);
    });
  });
  return owner;
}
