import { lengthText, type Units } from '../units';
import { circumferenceAt, heightOf } from '../vessel';
import type { CoatContext } from './coat-kind';

/** Where a coat's pieces lie, as one says it at the bench. */
export function spotText({ angle, centre, times }: { angle: number; centre: number; times: number }, units: Units): string {
  const round = angle === 180 ? 'opposite the seam' : `${Math.round(angle)}° round from the seam`;
  const first = times === 1 ? round : `${times} evenly round, the first ${round}`;
  return `${first}, centre${times === 1 ? '' : 's'} ${lengthText(centre, units)} above the foot`;
}

/** How pieces that are repeated are cut, and where the others come to lie; nothing of one alone. */
export function repeatedText(
  { times, centre, mirrored = false }: { times: number; centre: number; mirrored?: boolean },
  { stations, settings: { units } }: Pick<CoatContext, 'stations' | 'settings'>,
): string {
  if (times === 1) return '';
  const step = circumferenceAt(stations, Math.min(centre, heightOf({ stations }))) / times;
  const others = ` Mark the middles of the others every ${lengthText(step, units)} by the tape there.`;
  return mirrored ? `${others} Cut every second one the other way round.` : others;
}
