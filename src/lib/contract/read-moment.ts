import { STOOD_MS, type RunRecord } from './records/run.ts';

/** A jar this young changes by the second, ms; an older one is the same for a minute. */
const YOUNG_MS = 3_600_000;
const STEP_MS = { young: 15_000, old: 60_000 };

/**
 * The moment that a reading counts as made at: to the minute, and to a quarter of one while the jar is young. The page that shows
 * what a reading comes to and the server that keeps it go by the same, so that nothing changes between. Of a jar that was met
 * standing minutes are counted from when it was met.
 *
 * @param at ms UTC
 */
export function readMoment(
  run: Pick<RunRecord, 'setDownAt' | 'stood'> | null | undefined,
  at: number
): number {
  if (!run) return Math.floor(at / STEP_MS.old) * STEP_MS.old;
  if (run.stood !== null) {
    const metAt = run.setDownAt + STOOD_MS[run.stood];
    return metAt + Math.floor((at - metAt) / STEP_MS.old) * STEP_MS.old;
  }
  const step = at - run.setDownAt < YOUNG_MS ? STEP_MS.young : STEP_MS.old;
  // Not before it stood.
  return Math.max(Math.min(at, run.setDownAt + 1000), Math.floor(at / step) * step);
}
