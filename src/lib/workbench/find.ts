import type { LogLine } from '../contract/records/log.ts';
import { t } from '../words/index.ts';

export type LogSort = 'date' | 'sample' | 'class';

/** Lines that hold every word that was typed, in code, place, class, method, purpose or state. */
export function findLines(lines: readonly LogLine[], text: string): LogLine[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  return lines.filter((line) => {
    const text = [
      line.code,
      line.sampleName,
      line.class ?? '',
      line.methodName,
      t.purpose[line.purpose],
      t.status[line.status]
    ]
      .join(' ')
      .toLowerCase();
    return words.every((word) => text.includes(word));
  });
}

const byCode = (a: LogLine, b: LogLine) => a.code.localeCompare(b.code, 'en', { numeric: true });
const byDate = (a: LogLine, b: LogLine) => (b.setDownAt ?? b.createdAt) - (a.setDownAt ?? a.createdAt);

/** The orders of the log: newest first, or by code with numbers in their order, or by class with the unread last. */
export const LOG_ORDER: Record<LogSort, (a: LogLine, b: LogLine) => number> = {
  date: byDate,
  sample: (a, b) => byCode(a, b) || byDate(a, b),
  class: (a, b) => (a.class ?? '\uffff').localeCompare(b.class ?? '\uffff') || byCode(a, b)
};
