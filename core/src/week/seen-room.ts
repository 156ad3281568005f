import type { RoomMoment } from '../make';
import { timeOf, type Zone } from './working-hours';

/** °C that the room had by day and while everybody slept, as the sensor saw it; null where it saw too little of either. */
export function seenRoom(
  moments: readonly RoomMoment[],
  { wakes, sleeps }: { readonly wakes: string; readonly sleeps: string },
  zone: Zone,
): { readonly day: number; readonly night: number } | null {
  const up = ({ at }: RoomMoment) => {
    const time = timeOf(Math.floor(at / 60_000), zone);
    return wakes <= time && time < sleeps;
  };
  const mean = (some: readonly RoomMoment[]) => some.reduce((sum, { celsius }) => sum + celsius, 0) / some.length;
  const [day, night] = [moments.filter(up), moments.filter((one) => !up(one))];
  return day.length < LEAST || night.length < LEAST ? null : { day: mean(day), night: mean(night) };
}

/** Readings of each that a mean is told from. */
const LEAST = 12;
