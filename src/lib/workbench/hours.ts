import { fromAbsolute, toCalendarDate, toCalendarDateTime, toZoned } from '@internationalized/date';
import type { ShutHours } from '../core/index.ts';

/** Hours of the day, minutes after local midnight; equal ends mean none. */
export type DayHours = { from: number; to: number };

/**
 * Quiet hours and hours away from home as stretches of time, day by day in the zone, so that they follow the local
 * clock over its changes.
 *
 * @param fromAt first moment that matters, ms UTC
 * @param days how many days of them
 */
export function shutHours(
  o: { quiet: DayHours; home?: DayHours },
  zone: string,
  fromAt: number,
  days: number
): ShutHours[] {
  const today = toCalendarDate(fromAbsolute(fromAt, zone));
  const at = (day: number, minutes: number) => {
    const clock = { hour: Math.floor(minutes / 60), minute: minutes % 60 };
    return toZoned(toCalendarDateTime(today.add({ days: day })).set(clock), zone)
      .toDate()
      .getTime();
  };
  const out: ShutHours[] = [];
  const add = (hours: DayHours, why: ShutHours['why']) => {
    if (hours.from === hours.to) return;
    for (let day = -1; day < days; day++) {
      const toDay = hours.to < hours.from ? day + 1 : day;
      const stretch = { fromAt: at(day, hours.from), toAt: at(toDay, hours.to), why };
      if (stretch.toAt > fromAt) out.push(stretch);
    }
  };
  add(o.quiet, 'quiet');
  if (o.home) add({ from: o.home.to, to: o.home.from }, 'away');
  return out.sort((a, b) => a.fromAt - b.fromAt);
}
