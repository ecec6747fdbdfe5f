import type { LogLine } from '../contract/records/log.ts';
import { t } from '../words/index.ts';
import { LOG_FILTER_NAMES, readLogFilter, writeLogFilter, type LogFilter } from './filter.ts';

export type LogSort = 'date' | 'sample' | 'class';
export const LOG_SORTS: LogSort[] = ['date', 'sample', 'class'];

/** What a page of the log shows: all in `text` is found in a line, and `from` is how many lines come before. */
export type LogAsked = { text: string; sort: LogSort; filter: LogFilter; from: number; most: number };

/** So many lines stand on a page. */
const MOST = 150;

/** What an address of the log asks for. What it does not say, or says wrong, is as at first. */
export function readLogAddress(asked: URLSearchParams): LogAsked {
  const from = Number(asked.get('from'));
  return {
    text: (asked.get('q') ?? '').slice(0, 200),
    sort: LOG_SORTS.find((one) => one === asked.get('sort')) ?? 'date',
    filter: readLogFilter(asked),
    from: Number.isSafeInteger(from) && from > 0 ? from : 0,
    most: MOST
  };
}

/** What an address of the log may ask for, by name. */
export const LOG_ASKED: string[] = ['q', 'sort', ...LOG_FILTER_NAMES];

/** The address that asks for it. @param path of the log, the bin, or an export */
export function logAddress(path: string, { text, sort, filter, from }: Omit<LogAsked, 'most'>): string {
  const asked = new URLSearchParams([
    ...(text ? [['q', text]] : []),
    ...(sort === 'date' ? [] : [['sort', sort]]),
    ...writeLogFilter(filter),
    ...(from > 0 ? [['from', String(from)]] : [])
  ]).toString();
  if (!asked) return path;
  return `${path}${path.includes('?') ? '&' : '?'}${asked}`;
}

/** So many tests or samples stand in a list to choose from: the newest. Older ones are found in the log. */
export const PICKED_MOST = 300;

/** What is searched of a line: code, place, class, method, purpose and state, in small letters. */
export function searchText(
  line: Pick<LogLine, 'code' | 'sampleName' | 'class' | 'methodName' | 'purpose' | 'status'>
): string {
  const { code, sampleName, methodName, purpose, status } = line;
  return [code, sampleName, line.class ?? '', methodName, t.purpose[purpose], t.status[status]]
    .join(' ')
    .toLowerCase();
}

/** The words of a search, each of which a line must hold. */
export const searchWords = (text: string): string[] => text.toLowerCase().split(/\s+/).filter(Boolean);

/** Lines that hold every word that was typed. */
export function findLines(lines: readonly LogLine[], text: string): LogLine[] {
  const words = searchWords(text);
  return lines.filter((line) => {
    const own = searchText(line);
    return words.every((word) => own.includes(word));
  });
}

/** A code, such that texts in order are numbers in order: N2 before N10. */
export const codeKey = (code: string): string =>
  code.toLowerCase().replace(/\d+/g, (digits) => digits.padStart(9, '0'));

/** A class, such that the unread stand last. */
export const classKey = (name: string | null): string => name ?? '\uffff';

const inOrder = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);
const byCode = (a: LogLine, b: LogLine) => inOrder(codeKey(a.code), codeKey(b.code));
const byDate = (a: LogLine, b: LogLine) => b.at - a.at;

/** The orders of the log: newest first, or by code with numbers in their order, or by class with the unread last. */
export const LOG_ORDER: Record<LogSort, (a: LogLine, b: LogLine) => number> = {
  date: byDate,
  sample: (a, b) => byCode(a, b) || byDate(a, b),
  class: (a, b) => inOrder(classKey(a.class), classKey(b.class)) || byCode(a, b)
};
