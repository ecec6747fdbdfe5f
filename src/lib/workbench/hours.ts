import { fromAbsolute, toCalendarDate, toCalendarDateTime, toZoned } from '@internationalized/date';
import type { ShutHours } from '../core/index.ts';
import type { Profile } from '../words/profile.ts';

const DAY_MS = 86_400_000;

/** Hours of the day, minutes after local midnight; equal ends mean none. */
export type DayHours = { from: number; to: number };

/** The quiet hours of a profile. */
export function quietOf({ quietFrom, quietTo }: Pick<Profile, 'quietFrom' | 'quietTo'>): DayHours {
  return { from: quietFrom, to: quietTo };
}

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

/** Whether it is quiet at a moment. */
export function isQuiet(quiet: DayHours, zone: string, at: number): boolean {
  return shutHours({ quiet }, zone, at, 1).some(({ fromAt, toAt }) => fromAt <= at && at < toAt);
}

/** The quiet stretches between two moments, cut to them, ms UTC. */
export function quietBetween(
  quiet: DayHours,
  zone: string,
  fromAt: number,
  toAt: number
): { fromAt: number; toAt: number }[] {
  return shutHours({ quiet }, zone, fromAt, Math.ceil((toAt - fromAt) / DAY_MS) + 1)
    .filter((stretch) => stretch.fromAt < toAt)
    .map((stretch) => ({
      fromAt: Math.max(fromAt, stretch.fromAt),
      toAt: Math.min(toAt, stretch.toAt)
    }));
}
