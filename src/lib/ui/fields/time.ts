import { t } from '../../words/index.ts';

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/**
 * Reads a time of day such as `22:00`, `7`, `10 pm`, `6:30am` or `14:05:30`.
 * @returns seconds after midnight, undefined if it is no time
 */
export function readTimeOfDay(text: string): number | undefined {
  const match = /^(?:at\s+)?(\d{1,2})(?:[:.h](\d{2})(?:[:.](\d{2}))?)?\s*([ap])?\.?(?:m\.?)?$/i.exec(
    text.trim()
  );
  if (!match) return undefined;
  const [, hourText, minuteText = '0', secondText = '0', half] = match;
  const [minute, second] = [Number(minuteText), Number(secondText)];
  let hour = Number(hourText);
  if (half && (hour < 1 || hour > 12)) return undefined;
  if (half) hour = (hour % 12) + (half.toLowerCase() === 'p' ? 12 : 0);
  return hour < 24 && minute < 60 && second < 60 ? (hour * 60 + minute) * 60 + second : undefined;
}

/** The same to the minute: minutes after midnight, undefined if it is no time. */
export function readMinuteOfDay(text: string): number | undefined {
  const seconds = readTimeOfDay(text);
  return seconds === undefined ? undefined : Math.floor(seconds / 60);
}

/** A time of day, s after midnight, as `22:00` or `10:00 pm`; with seconds where there are any. */
export function timeOfDayText(seconds: number, clock: '24' | '12'): string {
  const two = (n: number) => String(n).padStart(2, '0');
  const hour = Math.floor(seconds / 3600);
  const rest = `${two(Math.floor(seconds / 60) % 60)}${seconds % 60 === 0 ? '' : `:${two(seconds % 60)}`}`;
  if (clock === '24') return `${two(hour)}:${rest}`;
  return `${hour % 12 === 0 ? 12 : hour % 12}:${rest} ${hour < 12 ? 'am' : 'pm'}`;
}

/**
 * Reads a day such as `31 Mar 2026`, `31.3.2026` or `2026-03-31`, at once; other ways of writing one are for `dates.ts`.
 * @returns `2026-03-31`, undefined if it is no day of the calendar
 */
export function readDay(text: string): string | undefined {
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text.trim());
  const own = /^(\d{1,2})(?:\.\s?|\s+)(\d{1,2}|[a-z]+)\.?(?:\.\s?|,?\s+)(\d{4})$/i.exec(text.trim());
  if (!iso && !own) return undefined;
  const [year, monthText, day] = iso
    ? [iso[1], iso[2], iso[3]]
    : own
      ? [own[3], own[2], own[1]]
      : ['', '', ''];
  const month = /\d/.test(monthText)
    ? Number(monthText)
    : MONTHS.indexOf(monthText.slice(0, 3).toLowerCase()) + 1;
  const at = new Date(Date.UTC(Number(year), month - 1, Number(day)));
  // The calendar has it if it comes back as it went in: not so the 31st of June.
  const same = at.getUTCMonth() === month - 1 && at.getUTCDate() === Number(day);
  return month > 0 && same ? at.toISOString().slice(0, 10) : undefined;
}

/** A day, `2026-03-31`, as `31 Mar 2026`; what is no day stays as it is. */
export function dayText(day: string): string {
  if (readDay(day) !== day) return day;
  const [year, month, date] = day.split('-').map(Number);
  const name = MONTHS[month - 1];
  return `${date} ${name[0].toUpperCase()}${name.slice(1)} ${year}`;
}

/** A moment by the wall of this device, `2026-03-31T14:05:30`. */
export function wallText(at: number): string {
  const local = new Date(at);
  const two = (n: number) => String(n).padStart(2, '0');
  const day = `${local.getFullYear()}-${two(local.getMonth() + 1)}-${two(local.getDate())}`;
  const seconds = (local.getHours() * 60 + local.getMinutes()) * 60 + local.getSeconds();
  return `${day}T${timeOfDayText(seconds, '24')}`;
}

/**
 * Reads a moment by the wall of this device, `2026-03-31T14:05:30`.
 * @returns ms UTC, undefined where day or time is missing or none
 */
export function readMoment(wall: string): number | undefined {
  const [day, time] = wall.split('T');
  const seconds = readTimeOfDay(time ?? '');
  if (seconds === undefined || readDay(day) !== day) return undefined;
  return new Date(`${day}T${timeOfDayText(seconds, '24')}`).getTime();
}

/**
 * A moment that is told afterwards.
 *
 * @param wall as {@link readMoment} takes it
 * @param o.after it was after this, ms UTC
 * @returns the moment, ms UTC, or what is wrong with it
 */
export function readEarlier(
  wall: string,
  { now, after }: { now: number; after?: number }
): { at: number; error?: undefined } | { at?: undefined; error: string } {
  const at = readMoment(wall);
  if (at === undefined) return { error: t.earlier.need };
  if (at > now) return { error: t.earlier.toCome };
  return after !== undefined && at <= after ? { error: t.earlier.tooEarly } : { at };
}
