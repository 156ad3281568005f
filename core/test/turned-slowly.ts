import { viscosityAt } from '../src/resin';
import { clearFilm, WetFlow, type WetDrive } from '../src/wet';
import { stretchGrid } from '../src/wet';

/** A ridge of colour on a stretch round a cup. Lengths mm. */
export interface Ridge {
  readonly round: number;
  readonly cells: number;
  readonly film: number;
  readonly ridge: { readonly width: number; readonly height: number };
  readonly minutes: number;
  readonly drive: WetDrive;
  readonly averaged?: boolean;
}

/** Where the middle of the colour has gone, and how far it lies from there on average, mm. */
export interface Moved {
  readonly drifted: number;
  readonly spread: number;
}

/** The plain way: explicit steps of some hundredths of a second, through every turn; or the core's own, for comparison. */
export function turnedSlowly(given: Ridge): Moved {
  const { round, cells, film, ridge } = given;
  const cell = round / cells;
  const colour = Float64Array.from({ length: cells }, (_, i) => {
    const off = ((i + 0.5) * cell - round / 2) / (ridge.width / 2);
    return Math.max(0, ridge.height * (1 - off * off));
  });
  const all = colour.map((mm) => film + mm);
  return given.averaged ? averaged(given, all, colour) : plain(given, cell, all, colour);
}

function averaged({ round, cells, drive, minutes }: Ridge, all: Float64Array, colour: Float64Array): Moved {
  const grid = stretchGrid(round, cells, round);
  const wet = clearFilm(grid, 0, 1);
  wet.all.set(all);
  wet.colour[0].set(colour);
  const flow = new WetFlow(wet, drive);
  while (flow.seconds < 60 * minutes - 1e-9) flow.step(60 * minutes);
  return movedOf(wet.colour[0], round / cells, flow.turned * (round / cells));
}

function plain({ round, drive, minutes }: Ridge, cell: number, all: Float64Array, colour: Float64Array): Moved {
  const cells = all.length;
  const radius = round / (2 * Math.PI);
  const turn = (2 * Math.PI * drive.rpm) / 60;
  const at = (i: number) => (i + 2 * cells) % cells;
  const seconds = 0.01 * Math.min(1, (round / cells) ** 4);
  const [flow, tint] = [new Float64Array(cells), new Float64Array(cells)];
  for (let time = 0; time < 60 * minutes; time += seconds) {
    const thin = viscosityAt(drive.viscosity, drive.potLife, drive.rest + time / 60) / 1000;
    const weight = (drive.density * 9.80665) / thin;
    const tension = 35 / (3 * thin);
    for (let i = 0; i < cells; i += 1) {
      const [before, here, next, far] = [all[at(i - 1)], all[i], all[at(i + 1)], all[at(i + 2)]];
      const mean = (here + next) / 2;
      const pull = -weight * Math.cos(((i + 1) * cell) / radius + turn * time);
      const levels = (tension * mean ** 3 * (far - 3 * next + 3 * here - before)) / cell ** 3;
      flow[i] = levels + (pull * mean ** 3) / 3;
      const source = flow[i] > 0 ? i : at(i + 1);
      const lower = 1 - colour[source] / all[source];
      // The upper layer's share, with an edge between the cells' own: less smeared than the cell it comes from.
      const share = 1 - 1.5 * lower ** 2 + 0.5 * lower ** 3;
      const [back, ahead] = flow[i] > 0 ? [at(i - 1), at(i + 1)] : [at(i + 2), i];
      const [one, other] = [colour[source] - colour[back], colour[ahead] - colour[source]];
      const slope = one * other <= 0 ? 0 : Math.sign(one) * Math.min(Math.abs(one), Math.abs(other));
      tint[i] = colour[source] > 1e-9 ? (flow[i] * share * (colour[source] + slope / 2)) / colour[source] : 0;
    }
    for (let i = 0; i < cells; i += 1) {
      all[i] -= (seconds / cell) * (flow[i] - flow[at(i - 1)]);
      colour[i] -= (seconds / cell) * (tint[i] - tint[at(i - 1)]);
    }
  }
  return movedOf(colour, cell, 0);
}

/** Middle and spread on a ring, by the phase of its first wave. */
function movedOf(colour: Float64Array, cell: number, turned: number): Moved {
  const round = colour.length * cell;
  let [sum, cos, sin] = [0, 0, 0];
  colour.forEach((mm, i) => {
    const phase = (2 * Math.PI * ((i + 0.5) * cell - round / 2)) / round;
    sum += mm;
    cos += mm * Math.cos(phase);
    sin += mm * Math.sin(phase);
  });
  const middle = (Math.atan2(sin, cos) * round) / (2 * Math.PI);
  const together = Math.hypot(cos, sin) / sum;
  return { drifted: middle + turned, spread: (Math.sqrt(-2 * Math.log(together)) * round) / (2 * Math.PI) };
}
