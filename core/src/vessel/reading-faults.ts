import { cupKinds, type CupShape } from './cup-kind';
import { piecesOf, radiusOf, type Station } from './station';

export interface ReadingFault {
  readonly path: readonly (string | number)[];
  readonly sentence: string;
}

/** What of a cup the readings have to agree with. Lengths mm. */
export interface MeasuredCup {
  readonly shape: CupShape;
  readonly stations: readonly Station[];
  readonly lipStrip: number;
  readonly recess?: { readonly depth: number; readonly diameter: number } | null;
  readonly handle?: { readonly width: number; readonly from: number; readonly to: number } | null;
}

/** A wall of any cup but a stemmed glass stays steeper than this: mm outwards a mm of height. */
const FLATTEST = 3;
/** No tape goes round less than this, but a thread goes round a stem. */
const THINNEST_CUP = 60;

/** What looks wrong with the readings as a whole, each named by the reading that does. */
export function readingFaults(cup: MeasuredCup): readonly ReadingFault[] {
  const { stations } = cup;
  if (stations.length < 2) return [];
  const height = stations[stations.length - 1].height;
  return [...heightFaults(stations), ...shapeFaults(cup), ...oddReadings(cup), ...partFaults(cup, height)];
}

function heightFaults(stations: readonly Station[]): readonly ReadingFault[] {
  const faults: ReadingFault[] = [];
  const at = (index: number, sentence: string) => faults.push({ path: ['stations', index, 'height'], sentence });
  if (stations[0].height !== 0) at(0, 'The first measurement is at the foot: height 0.');
  stations.slice(1).forEach((upper, index) => {
    if (upper.height <= stations[index].height)
      at(index + 1, `Heights go upwards: this must be above ${stations[index].height} mm.`);
  });
  const height = stations[stations.length - 1].height;
  if (height > 0 && height < 20) at(stations.length - 1, 'A cup is at least 20 mm tall.');
  return faults;
}

function shapeFaults({ shape, stations }: MeasuredCup): readonly ReadingFault[] {
  const faults: ReadingFault[] = [];
  const at = (index: number, sentence: string) => faults.push({ path: ['stations', index, 'circumference'], sentence });
  const whole = (sentence: string) => faults.push({ path: ['stations'], sentence });
  const tape = stations.map((station) => station.circumference);
  const { least, most, name } = cupKinds[shape];
  if (stations.length < least)
    whole(
      shape === 'two-part' ? 'A two-part cup needs a third measurement, at the bend.' : `${name}: at least ${least} readings.`,
    );
  if (stations.length > most)
    whole(`${name}: ${most} readings are all it has. Take readings out, or choose a kind with more of them.`);
  if (shape !== 'stemmed') {
    tape.forEach((reading, index) => {
      if (reading < THINNEST_CUP)
        at(index, `The tape can’t read less than ${THINNEST_CUP} mm round a cup. Was the diameter typed?`);
    });
    piecesOf(stations).forEach(([lower, upper], index) => {
      const out = Math.abs(radiusOf(upper.circumference) - radiusOf(lower.circumference));
      const rise = upper.height - lower.height;
      if (rise > 0 && out / rise > FLATTEST)
        at(index + 1, 'The wall would lean out flatter than a saucer here. Check this reading.');
    });
  }
  const spread = Math.max(...tape) - Math.min(...tape);
  if (shape === 'straight' && spread > 2)
    at(tape.length - 1, `A straight cup has one circumference; these differ by ${spread.toFixed(1)} mm. Choose another shape.`);
  return faults;
}

/** A reading between two others that makes a waist or a bulge no cup has: most likely it was misread. */
function oddReadings({ shape, stations }: MeasuredCup): readonly ReadingFault[] {
  if (shape === 'stemmed') return [];
  const faults: ReadingFault[] = [];
  stations.slice(1, -1).forEach((station, i) => {
    const [lower, upper] = [stations[i], stations[i + 2]];
    const share = (station.height - lower.height) / (upper.height - lower.height);
    const straight = lower.circumference + share * (upper.circumference - lower.circumference);
    const off = station.circumference / straight - 1;
    if (Math.abs(off) <= 0.35 || !Number.isFinite(off)) return;
    const sentence = `This reading is ${Math.round(Math.abs(off) * 100)} % ${off > 0 ? 'over' : 'under'} what the two beside it lead to, ${straight.toFixed(0)} mm. Lay the tape again.`;
    faults.push({ path: ['stations', i + 1, 'circumference'], sentence });
  });
  return faults;
}

function partFaults({ stations, lipStrip, recess, handle }: MeasuredCup, height: number): readonly ReadingFault[] {
  const faults: ReadingFault[] = [];
  const say = (path: readonly string[], sentence: string) => faults.push({ path, sentence });
  if (lipStrip >= height && height > 0) say(['lipStrip'], 'The bare strip under the lip is as tall as the cup.');
  const foot = stations[0].circumference / Math.PI;
  if (recess && recess.diameter >= foot)
    say(['recess', 'diameter'], `The recess must be narrower than the foot, which is ${foot.toFixed(1)} mm across.`);
  if (recess && recess.depth >= height) say(['recess', 'depth'], 'The recess is deeper than the cup is tall.');
  if (handle) {
    const least = Math.min(...stations.map((station) => station.circumference));
    if (handle.width > least / 3)
      say(['handle', 'width'], `A handle’s patch takes at most a third of the way round, ${(least / 3).toFixed(0)} mm here.`);
    if (handle.to <= handle.from) say(['handle', 'to'], `The patch must end above where it starts, ${handle.from} mm.`);
    if (handle.to > height) say(['handle', 'to'], `The patch reaches up to ${handle.to} mm, but this cup ends at ${height} mm.`);
  }
  return faults;
}
