import { t } from '$lib/words';
import { readDuration, type Read } from './read';

/** A time of day: `14:05`, `at 14:05:30`, `2.05 pm`. */
const CLOCK = /^(at\s+)?(\d{1,2})[:.](\d\d)(?:[:.](\d\d))?\s*([ap]\.?m\.?)?$/i;
/** Two readings of one text are told apart where only one lies this near what was asked for, as a factor. */
const NEAR = 2;

/** Seconds from set-down to the first such time of day after it, by the clock of this device; undefined for no time. */
function clockAfter(match: RegExpExecArray, setDownAt: number): number | undefined {
  const [, , hourText, minuteText, secondText = '0', half = ''] = match;
  let hour = Number(hourText);
  if (half !== '') {
    if (hour < 1 || hour > 12) return undefined;
    hour = (hour % 12) + (half.toLowerCase().startsWith('p') ? 12 : 0);
  }
  if (hour > 23 || Number(minuteText) > 59 || Number(secondText) > 59) return undefined;
  const at = new Date(setDownAt);
  at.setHours(hour, Number(minuteText), Number(secondText), 0);
  // The calendar's next day, not 24 hours: between them the clocks may change.
  if (at.getTime() <= setDownAt) at.setDate(at.getDate() + 1);
  return (at.getTime() - setDownAt) / 1000;
}

/**
 * Reads when something was done after a set-down: as a length of time (`2 h 5`, `1h30`, `1:05` for minutes and seconds) or
 * as a time of day (`at 14:05`, `2:05 pm`). Of `14:05` that can be both, what lies near the time asked for counts.
 *
 * @param o.setDownAt ms UTC; without it a time of day says nothing
 * @param o.askedS when the method asks for it, s
 */
export function readAfter(text: string, o: { setDownAt?: number; askedS: number }): Read {
  const match = CLOCK.exec(text.trim());
  const said = match && (match[1] || match[5]);
  if (said && o.setDownAt === undefined) return { error: t.paper.clockNeedsSetDown };
  const clock = match && o.setDownAt !== undefined ? clockAfter(match, o.setDownAt) : undefined;
  if (said) return clock === undefined ? { error: t.paper.badClock } : { value: clock };
  const duration = readDuration(text);
  const near = (s: number) => s > 0 && Math.max(s / o.askedS, o.askedS / s) <= NEAR;
  if (clock !== undefined && near(clock) && !(duration.value !== undefined && near(duration.value))) {
    return { value: clock };
  }
  return duration;
}
