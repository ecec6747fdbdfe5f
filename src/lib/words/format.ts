import { formatDose, formatLength, formatTemperature, formatVolume } from '../core/index.ts';
import type { Profile } from '../words/profile.ts';
import { t } from './index.ts';

/** Everything that turns a number into words the viewer likes. */
export type Format = {
  profile: Profile;
  zone: string;
  length(mm: number, digits?: number): string;
  temp(tempC: number): string;
  dose(ml: number): string;
  volume(ml: number): string;
  /** 18:52 */
  time(at: number): string;
  /** 18:52, tomorrow 11:20, Tue 11:20, 3 Mar 11:20: as much of the date as is needed. */
  when(at: number, now: number): string;
  /** Tue 24 Nov 2026, 18:52 */
  full(at: number): string;
  /** 18:52:07 */
  toTheSecond(at: number): string;
  /** 24 Nov 2026 */
  day(at: number): string;
  /** A calendar day, YYYY-MM-DD, as {@link day} shows one. */
  dayOf(date: string): string;
  /** The local day of a moment, YYYY-MM-DD. */
  isoDay(at: number): string;
  /** Minutes after local midnight. */
  minuteOfDay(at: number): number;
};

const LANGUAGE = 'en-GB';
const DAY_MS = 86_400_000;
/** Making an Intl formatter is slow; there are few different ones. */
const cache = new Map<string, Intl.DateTimeFormat>();
const formats = new Map<string, Format>();

function intl(zone: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = zone + JSON.stringify(options);
  let made = cache.get(key);
  if (!made) cache.set(key, (made = new Intl.DateTimeFormat(LANGUAGE, { timeZone: zone, ...options })));
  return made;
}

function build(profile: Profile, zone: string): Format {
  const clock: Intl.DateTimeFormatOptions =
    profile.clock === '12'
      ? { hour: 'numeric', minute: '2-digit', hour12: true }
      : { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' };
  const clockOf = intl(zone, clock);
  const secondsOf = intl(zone, { ...clock, second: '2-digit' });
  const dateOf = intl(zone, { dateStyle: 'short' });
  const time = (at: number) => clockOf.format(at);
  const dayKey = (at: number) => dateOf.format(at);
  /** A page asks for many times against the same now. */
  let around = { now: NaN, yesterday: '', today: '', tomorrow: '' };
  const daysAround = (now: number) => {
    if (around.now !== now) {
      const [yesterday, today, tomorrow] = [now - DAY_MS, now, now + DAY_MS].map(dayKey);
      around = { now, yesterday, today, tomorrow };
    }
    return around;
  };
  const longDate = intl(zone, { day: 'numeric', month: 'short', year: 'numeric' });
  const day = (at: number) => longDate.format(at);
  const calendarDay = intl('UTC', { day: 'numeric', month: 'short', year: 'numeric' });
  // The one locale whose short date is the ISO one.
  const isoDate = new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short' });
  const minuteClock = intl(zone, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
  return {
    profile,
    zone,
    length: (mm, digits = 0) => formatLength(mm, profile.length, digits),
    temp: (tempC) => formatTemperature(tempC, profile.temperature),
    dose: (ml) => formatDose(ml, profile.volume),
    volume: (ml) => formatVolume(ml, profile.volume),
    time,
    when(at, now) {
      const key = dayKey(at);
      const days = daysAround(now);
      if (key === days.today) return time(at);
      if (key === days.tomorrow) return `${t.common.tomorrow} ${time(at)}`;
      if (key === days.yesterday) return `${t.common.yesterday} ${time(at)}`;
      if (at > now && at - now < 6 * DAY_MS)
        return `${intl(zone, { weekday: 'short' }).format(at)} ${time(at)}`;
      return `${day(at)}, ${time(at)}`;
    },
    full: (at) => `${intl(zone, { weekday: 'short' }).format(at)} ${day(at)}, ${time(at)}`,
    toTheSecond: (at) => secondsOf.format(at),
    day,
    dayOf: (date) => (Number.isNaN(Date.parse(date)) ? date : calendarDay.format(Date.parse(date))),
    isoDay: (at) => isoDate.format(at),
    minuteOfDay(at) {
      const [hours, minutes] = minuteClock.format(at).split(':').map(Number);
      return hours * 60 + minutes;
    }
  };
}

/** The format of a profile in a time zone. */
export function formatFor(profile: Profile, zone: string): Format {
  const key = zone + JSON.stringify(profile);
  let made = formats.get(key);
  if (!made) formats.set(key, (made = build(profile, zone)));
  return made;
}
