/**
 * Reads a time of day such as `22:00`, `7`, `10 pm` or `6:30am`.
 * @returns minutes after midnight, undefined if it is no time
 */
export function parseTimeOfDay(text: string): number | undefined {
  const match = /^(\d{1,2})(?:[:.h](\d{2}))?\s*(am|pm)?$/i.exec(text.trim());
  if (!match) return undefined;
  let hour = Number(match[1]);
  const minute = Number(match[2] ?? 0);
  const half = match[3]?.toLowerCase();
  if (half && (hour < 1 || hour > 12)) return undefined;
  if (half) hour = (hour % 12) + (half === 'pm' ? 12 : 0);
  return hour < 24 && minute < 60 ? hour * 60 + minute : undefined;
}

/** Minutes after midnight as `22:00` or `10:00 pm`. */
export function timeOfDayText(minutes: number, clock: '24' | '12'): string {
  const hour = Math.floor(minutes / 60);
  const two = String(minutes % 60).padStart(2, '0');
  if (clock === '24') return `${String(hour).padStart(2, '0')}:${two}`;
  return `${hour % 12 === 0 ? 12 : hour % 12}:${two} ${hour < 12 ? 'am' : 'pm'}`;
}
