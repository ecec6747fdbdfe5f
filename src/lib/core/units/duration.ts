import { RangeProblem } from '../errors.ts';

const SECOND = 1;
const MINUTE = 60;
const HOUR = 3600;
const DAY = 86400;

/**
 * A duration in words, to the two largest units that matter.
 * @example formatDuration(7290) // '2 h 2 min'
 */
export function formatDuration(seconds: number): string {
  const s = Math.round(Math.abs(seconds));
  if (s < MINUTE) return `${s} s`;
  if (s < HOUR) return pair(s, MINUTE, 'min', SECOND, 's');
  if (s <= 2 * DAY) return pair(Math.round(s / MINUTE) * MINUTE, HOUR, 'h', MINUTE, 'min');
  return pair(Math.round(s / HOUR) * HOUR, DAY, 'd', HOUR, 'h');
}

function pair(s: number, big: number, bigName: string, small: number, smallName: string): string {
  const whole = Math.floor(s / big);
  const rest = Math.floor((s - whole * big) / small);
  return rest === 0 ? `${whole} ${bigName}` : `${whole} ${bigName} ${rest} ${smallName}`;
}

/**
 * A duration as a running clock shows it: `3:12` under an hour, `2:05:09` above, always whole seconds.
 * Counts down to the second that is still running, so 0.4 s left shows as 0:01.
 */
export function formatCountdown(seconds: number): string {
  const s = Math.ceil(Math.max(0, seconds) - 1e-6);
  const two = (n: number) => String(n).padStart(2, '0');
  const hours = Math.floor(s / HOUR);
  const minutes = Math.floor((s % HOUR) / MINUTE);
  return hours > 0 ? `${hours}:${two(minutes)}:${two(s % 60)}` : `${minutes}:${two(s % 60)}`;
}

/**
 * The short form written on tape: `1:04` under an hour, `2:02 h` under two days, `3 d 2 h` beyond.
 */
export function formatTapeTime(seconds: number): string {
  const s = Math.max(0, Math.round(seconds));
  const two = (n: number) => String(n).padStart(2, '0');
  if (s < HOUR) return `${Math.floor(s / MINUTE)}:${two(s % MINUTE)}`;
  if (s < 2 * DAY) return `${Math.floor(s / HOUR)}:${two(Math.floor((s % HOUR) / MINUTE))} h`;
  return `${Math.floor(s / DAY)} d ${Math.floor((s % DAY) / HOUR)} h`;
}

/** Units as people write them, in the order in which a shorter one may begin a longer. */
const UNITS: readonly [RegExp, number][] = [
  [/^(?:s|sec|secs|second|seconds)$/, SECOND],
  [/^(?:m|min|mins|minute|minutes)$/, MINUTE],
  [/^(?:h|hr|hrs|hour|hours)$/, HOUR],
  [/^(?:d|day|days)$/, DAY]
];
const unitSeconds = (word: string) => UNITS.find(([pattern]) => pattern.test(word))?.[1];

/** What a number without a unit counts after one with: minutes after hours, seconds after minutes. */
const NEXT_UNIT: Record<number, number> = { [DAY]: HOUR, [HOUR]: MINUTE, [MINUTE]: SECOND };

/** Amounts with their units, largest first, as seconds; undefined where it is none. */
function readAmounts(clean: string): number | undefined {
  const parts = [...clean.matchAll(/(\d+(?:\.\d+)?)\s*([a-z]*)\s*(?:and\s+)?/g)];
  if (parts.length === 0 || parts.map((p) => p[0]).join('') !== clean) return undefined;
  let total = 0;
  let before = Infinity;
  for (const [, amount, word] of parts) {
    const unit = word === '' ? NEXT_UNIT[before] : unitSeconds(word);
    if (unit === undefined || unit >= before) return undefined;
    total += Number(amount) * unit;
    before = unit;
  }
  return total;
}

/**
 * Reads a duration as people write it: `65 s`, `1:05`, `1 min 5 s`, `2 h`, `2 hours`, `1h30`, `2:02 h`, `26:00:30`.
 * Two numbers with a colon are minutes and seconds unless an h follows.
 *
 * @returns s
 * @throws {RangeProblem} with what to type instead
 * @example parseDuration('2:02 h') // 7320
 */
export function parseDuration(text: string): number {
  const clean = text.trim().toLowerCase().replace(',', '.');
  const colon = /^(\d+):([0-5]\d)(?::([0-5]\d))?\s*(h)?$/.exec(clean);
  if (colon) {
    const [, first, second, third, hours] = colon;
    if (third !== undefined) return Number(first) * HOUR + Number(second) * MINUTE + Number(third);
    return hours ? Number(first) * HOUR + Number(second) * MINUTE : Number(first) * MINUTE + Number(second);
  }
  const seconds = readAmounts(clean);
  if (seconds !== undefined) return seconds;
  const hint = /^\d+(\.\d+)?$/.test(clean)
    ? 'Say whether that is s, min or h'
    : 'That is no length of time. Type it';
  throw new RangeProblem('duration', `${hint}, such as 65 s, 1:05 or 2 h 3 min.`);
}
