import { en } from 'chrono-node';

/** In which order a reader writes day and month in figures. */
export type DayOrder = 'dmy' | 'mdy';

/** The order of a language, by how it writes a day itself. */
export function orderOf(language: string | undefined): DayOrder {
  const parts = new Intl.DateTimeFormat(language).formatToParts(new Date(2026, 10, 29));
  const at = (type: string) => parts.findIndex((part) => part.type === type);
  return at('month') < at('day') ? 'mdy' : 'dmy';
}

/** A day, `2026-11-29`, and the time of day that was written with it, `14:10`. */
export type Written = { day: string; time?: string };

const two = (n: number) => String(n).padStart(2, '0');

/** Figures parted by slashes, dots or strokes. */
const FIGURES = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})(?:[ ,T]+(.*))?$/;

/** The same with the month in its word, where the figures can only be meant one way, or the reader's way says which. */
function unambiguous(text: string, order: DayOrder): string {
  const figures = FIGURES.exec(text);
  if (!figures) return text;
  const [, first, second, year, rest = ''] = figures;
  const monthFirst = Number(first) > 12 ? false : Number(second) > 12 ? true : order === 'mdy';
  const [month, day] = monthFirst ? [first, second] : [second, first];
  return `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')} ${rest}`.trim();
}

/**
 * Reads a day, and a time of day where one stands with it, as people write them: `11/29/2026`, `Nov 29, 2026`, `29.11.2026`,
 * `yesterday 14:10`, `3 days ago`, `last Tuesday`. By the wall of this device.
 *
 * @param now ms UTC, from which days are counted
 * @returns undefined for what is no day, or says more than a day and a time
 */
export function readWritten(text: string, now: number, order: DayOrder): Written | undefined {
  const plain = unambiguous(text.trim(), order);
  const [found, more] = en.GB.parse(plain, new Date(now));
  if (!found || more || found.text.trim().length < plain.length || found.end) return undefined;
  const { start } = found;
  const at = start.date();
  // A month alone, or a time alone, is no day; nor is the 31st of June.
  const known = start.isCertain('day') || start.isCertain('weekday');
  if (!known || start.get('day') !== at.getDate()) return undefined;
  const day = `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
  const timed = start.isCertain('hour') && start.isCertain('minute');
  return timed ? { day, time: `${two(at.getHours())}:${two(at.getMinutes())}` } : { day };
}
