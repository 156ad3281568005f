import { heightOf } from './cup';
import { piecesOf, radiusOf, type Station } from './station';
import { PUCKER } from './strip-fit';
import { circumferenceAt, heightAtWallLength, wallLength } from './wall';

/** How a flat decal lies on the wall. Lengths mm, angles degrees. */
export interface DecalFit {
  /** how far round it reaches, by the tape at its centre: 360·w/c */
  readonly wrap: number;
  /** from the seam to its centre and to its left edge, along the tape at its centre */
  readonly centreFromSeam: number;
  readonly leftFromSeam: number;
  /** heights it lies between */
  readonly from: number;
  readonly to: number;
  /** how much longer or shorter than a flat sheet's the wall under it is somewhere: 0 on one cone */
  readonly difference: number;
  /** how far its straight edges bow away from level where the wall leans: w²/8R, R the fan's radius */
  readonly bow: number;
  /** cuts from its edge inwards that let a flat sheet lie down; 0 where it lies by itself */
  readonly slits: number;
  readonly slitDepth: number;
  /** how it reaches over foot or rim, a sentence each */
  readonly off: readonly string[];
  readonly says: readonly string[];
}

export interface Decal {
  readonly width: number;
  readonly height: number;
  /** mm above the foot, degrees from the seam */
  readonly centre: number;
  readonly angle: number;
}

/**
 * Where a flat decal comes to lie, and how well. A cone is a flat sheet rolled up, so on one cone a
 * decal lies down by itself and only its level edges bow; over a bulge or a waist it can't.
 */
export function decalFit(stations: readonly Station[], decal: Decal): DecalFit {
  const height = heightOf({ stations });
  const centre = Math.min(height, Math.max(0, decal.centre));
  const round = circumferenceAt(stations, centre);
  const along = wallLength(stations, 0, centre);
  const whole = wallLength(stations, 0, height);
  const from = heightAtWallLength(stations, Math.max(0, along - decal.height / 2));
  const to = heightAtWallLength(stations, Math.min(whole, along + decal.height / 2));
  const share = decal.width / round;
  const [low, high] = [circumferenceAt(stations, from), circumferenceAt(stations, to)];
  const slant = wallLength(stations, from, to);
  const onCone = (mm: number) => low + ((high - low) * wallLength(stations, from, mm)) / slant;
  const bends = stations.filter((station) => station.height > from && station.height < to);
  const difference = share * Math.max(0, ...bends.map((station) => Math.abs(station.circumference - onCone(station.height))));
  const bow = (decal.width ** 2 * Math.abs(high - low)) / (8 * round * slant);
  const bend = sharpestBend(stations, from, to);
  const slits = difference > PUCKER ? Math.min(24, 2 * Math.ceil(difference / (2 * PUCKER))) : bend > 12 ? 2 : 0;
  const off = [
    ...(along - decal.height / 2 < 0 ? ['It reaches below the foot. Move its centre up, or make it smaller.'] : []),
    ...(along + decal.height / 2 > whole ? ['It reaches above the rim. Move its centre down, or make it smaller.'] : []),
  ];
  const says: string[] = [];
  if (share > 1) says.push('It is wider than the cup is round: its ends would lie over each other.');
  says.push(...off);
  if (difference > PUCKER)
    says.push(
      `The wall under it is up to ${difference.toFixed(1)} mm longer or shorter than a flat sheet; it puckers there. Slit it as given.`,
    );
  if (bend > 12) says.push(`The wall bends by ${bend.toFixed(0)}° under it; a stiff sheet lifts at the bend.`);
  if (says.length === 0) says.push('It lies flat.');
  if (bow > 0.5)
    says.push(`The wall leans: its straight edges bow by ${bow.toFixed(1)} mm, so line up its middle, not its corners.`);
  return {
    wrap: 360 * share,
    centreFromSeam: (round * decal.angle) / 360,
    leftFromSeam: (round * decal.angle) / 360 - decal.width / 2,
    from,
    to,
    difference,
    bow,
    slits,
    slitDepth: slits > 0 ? Math.round((decal.height / 3) * 10) / 10 : 0,
    off,
    says,
  };
}

/** The sharpest turn of the wall between two heights, degrees. */
function sharpestBend(stations: readonly Station[], from: number, to: number): number {
  const lean = piecesOf(stations).map(
    ([lower, upper]) =>
      (Math.atan2(radiusOf(upper.circumference) - radiusOf(lower.circumference), upper.height - lower.height) * 180) / Math.PI,
  );
  return Math.max(
    0,
    ...stations.slice(1, -1).map(({ height }, i) => (height > from && height < to ? Math.abs(lean[i + 1] - lean[i]) : 0)),
  );
}
