import * as z from 'zod';
import { rememberEach } from '../remember';

/** A tape measurement: `circumference` mm round the cup at `height` mm above the foot. */
export const stationSchema = z.strictObject({
  height: z
    .number({ error: 'Give the height in mm above the foot.' })
    .min(0, 'A height is measured upwards from the foot, so it can’t be negative.')
    .max(600, 'No cup is over 600 mm tall. Check the reading.'),
  circumference: z
    .number({ error: 'Give the circumference in mm, read off the tape.' })
    .min(15, 'Nothing on a cup is thinner than 15 mm round. Was the diameter typed?')
    .max(800, 'The tape can’t read more than 800 mm round a cup. Check the reading.'),
});
export type Station = z.infer<typeof stationSchema>;

/** Thrown by the geometry when a question lies off the cup. */
export class OffTheCupError extends RangeError {
  override readonly name = 'OffTheCupError';
}

/** The straight pieces between neighbouring stations, foot to rim. Remembered: drawing asks for them thousands of times. */
export const piecesOf = rememberEach(
  (stations: readonly Station[]): readonly (readonly [Station, Station])[] =>
    stations.slice(1).map((upper, index) => [stations[index], upper] as const),
  1,
);

export const radiusOf = (circumference: number): number => circumference / (2 * Math.PI);
