import { format, isSameDay } from 'date-fns';

/** A moment as one reads a clock: with the day where it isn't today. @param moment and now ms since 1970 */
export const momentText = (moment: number, now: number): string =>
  format(moment, isSameDay(moment, now) ? 'HH:mm' : Math.abs(moment - now) < 6 * 86_400_000 ? 'EEE HH:mm' : 'd MMM HH:mm');

/** Time left, or gone by: to the second under an hour, else to the minute. @param ms 0 or more */
export function countdownText(ms: number): string {
  const seconds = Math.floor(ms / 1000);
  const two = (value: number) => String(value).padStart(2, '0');
  const [hours, minutes] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60];
  if (hours >= 48) return `${Math.floor(hours / 24)} d ${hours % 24} h`;
  return hours > 0 ? `${hours} h ${two(minutes)}` : `${minutes}:${two(seconds % 60)}`;
}
