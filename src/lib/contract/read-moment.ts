import { STOOD_MS, type RunRecord } from './records/run.ts';

/** In a jar this young every second counts, ms; an older one is the same for a minute. */
const YOUNG_MS = 3_600_000;
const STEP_MS = 60_000;

/**
 * The moment that a reading counts as made at: to the minute, once the jar is not young any more. The page that shows what a
 * reading comes to and the server that keeps it go by the same, so that nothing changes between. Of a jar that was met standing
 * minutes are counted from when it was met.
 *
 * @param at ms UTC
 */
export function readMoment(
  run: Pick<RunRecord, 'setDownAt' | 'stood'> | null | undefined,
  at: number
): number {
  if (run && run.stood !== null) {
    const metAt = run.setDownAt + STOOD_MS[run.stood];
    return metAt + Math.floor((at - metAt) / STEP_MS) * STEP_MS;
  }
  if (run && at - run.setDownAt < YOUNG_MS) return at;
  // Never before a mark that was made just now: to the end of its minute, not to the beginning.
  return Math.ceil(at / STEP_MS) * STEP_MS;
}
