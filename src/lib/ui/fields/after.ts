import { t } from '$lib/words';
import { readDuration, type Read } from '$lib/workbench/entry/figure';
import { readTimeOfDay } from './time';

/** What can only be a time of day: `at 14:05`, `2.05 pm`. */
const SAID_CLOCK = /^at\s|[ap]\.?m\.?$/i;
/** What may be one: an hour, minutes, and seconds perhaps. */
const MAYBE_CLOCK = /^\d{1,2}[:.]\d\d([:.]\d\d)?$/;
/** Two readings of one text are told apart where only one lies this near what was asked for, as a factor. */
const NEAR = 2;

/** Seconds from set-down to the first such time of day after it, by the clock of this device; undefined for no time. */
function clockAfter(text: string, setDownAt: number): number | undefined {
  const seconds = readTimeOfDay(text);
  if (seconds === undefined) return undefined;
  const at = new Date(setDownAt);
  at.setHours(0, 0, seconds, 0);
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
  const typed = text.trim();
  const said = SAID_CLOCK.test(typed);
  if (said && o.setDownAt === undefined) return { error: t.paper.clockNeedsSetDown };
  const clock =
    (said || MAYBE_CLOCK.test(typed)) && o.setDownAt !== undefined
      ? clockAfter(typed, o.setDownAt)
      : undefined;
  if (said) return clock === undefined ? { error: t.paper.badClock } : { value: clock };
  const duration = readDuration(text);
  const near = (s: number) => s > 0 && Math.max(s / o.askedS, o.askedS / s) <= NEAR;
  if (clock !== undefined && near(clock) && !(duration.value !== undefined && near(duration.value))) {
    return { value: clock };
  }
  return duration;
}
