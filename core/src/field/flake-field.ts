import { hexOf, linearRgbOf, mixSpectra, type Spectrum } from '../colour';
import type { Look } from '../look';
import { randomStream } from '../random';
import { dropFlakes, type FieldSheet } from './drop-flakes';
import type { FieldPart, FieldRegion, FieldRequest, FlakeField } from './field';
import { fieldColours } from './lit-field';
import { lightOf, MOST_STACKS, Stacks } from './stacks';
import { TILT_BITS, TILTS } from './tilt';

/**
 * Drops every flake where it falls, at true scale, and counts what stays bare and what is seen. Flakes smaller
 * than a pixel are drawn as one, so the bare share stays `e^(−depth)`.
 */
export function flakeField(request: FieldRequest): FlakeField {
  const work = flakeFieldSteps(request);
  for (;;) {
    const { value, done } = work.next();
    if (done) return value;
  }
}

/** The same in small steps, each with a way to see how far it is. */
export function* flakeFieldSteps(request: FieldRequest): Generator<() => FlakeField, FlakeField> {
  const { width, height, ground, regions } = request;
  const sheet: FieldSheet & Pick<FlakeField, 'owner' | 'tokens'> = {
    owner: ownersOf(request),
    tokens: new Uint16Array(width * height),
  };
  const random = randomStream(request.seed);
  const bare = new Stacks(ground);
  const parts = regions.map((region) => ({ ...region, stacks: new Stacks(ground), flakes: 0 }));
  const whole = regions.reduce((sum, { pixels, look }) => sum + pixels.length * depthOf(look), 0);
  let behind = 0;
  const soFar = (share: number): FlakeField => {
    const looks = [bare, ...parts.map(({ stacks }) => stacks)].map(partOf);
    return {
      width,
      height,
      ...sheet,
      parts: looks,
      colours: request.light ? fieldColours(looks, request.light) : null,
      bareShare: null,
      flakes: parts.reduce((sum, { flakes }) => sum + flakes, 0),
      seen: null,
      done: share,
    };
  };
  for (const [index, part] of parts.entries()) {
    const { look, pixels, stacks } = part;
    if (pixels.length === 0) continue;
    for (const layer of look) {
      if (layer.layer === 'film') stacks.layFilm(layer.film);
      else if (layer.layer === 'ground') {
        const stack = stacks.paint(layer.colour);
        if (stack > 0) for (const at of pixels) sheet.tokens[at] = stack * TILTS;
      } else if (layer.depth > 0 && layer.flakes.length > 0) {
        const dropping = dropFlakes(request, pixels, index + 1, layer.flakes, layer.depth, stacks, sheet, random);
        let step = dropping.next();
        while (!step.done) {
          yield () => soFar(behind / whole);
          step = dropping.next();
        }
        part.flakes += step.value;
        behind += pixels.length * layer.depth;
      }
    }
  }
  return { ...soFar(1), ...counted(parts, sheet) };
}

const depthOf = (look: Look): number => look.reduce((sum, layer) => sum + (layer.layer === 'flakes' ? layer.depth : 0), 0);

const partOf = ({ all, flakes }: Stacks): FieldPart => ({
  stacks: all.map(({ seen, glint }) => ({
    seen: linearRgbOf(seen),
    glint: glint && linearRgbOf(glint.spectrum),
    flake: glint?.flake ?? 0,
  })),
  flakes: flakes.map(({ colour, kind, finish }) => ({ colour, kind, finish })),
});

/** What lies bare and what is seen, counted pixel by pixel on the parts that have flakes. */
function counted(
  parts: readonly (FieldRegion & { stacks: Stacks; flakes: number })[],
  { tokens }: FieldSheet,
): Pick<FlakeField, 'bareShare' | 'seen'> {
  let [wanted, bare] = [0, 0];
  const light: Spectrum[] = [];
  for (const { pixels, stacks, flakes } of parts) {
    if (flakes === 0) continue;
    const times = new Float64Array(MOST_STACKS);
    for (const at of pixels) times[tokens[at] >> TILT_BITS] += 1;
    wanted += pixels.length;
    stacks.all.forEach(({ glint }, at) => (bare += glint ? 0 : times[at]));
    light.push(lightOf(stacks.all, times));
  }
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
    for (const at of pixels) owner[at] = index + 1;
  });
  return owner;
}
