/** What a slip was: the wrong way that leads exactly to what was answered. */
export type Slip =
  | 'upside-down'
  | 'clay-below'
  | 'too-soon'
  | 'too-late'
  | 'at-another-time'
  | 'outside-bottom'
  | 'edge-of-dome'
  | 'fractions-as-tenths'
  | 'eighths-as-sixteenths'
  | 'whole-inch'
  | 'next-line'
  | 'top-for-thickness'
  | 'over-water'
  | 'over-glass'
  | 'with-organics'
  | 'with-gravel'
  | 'the-others'
  | 'wrong-line'
  | 'swapped'
  | 'not-hundred'
  | 'no-line-there'
  | 'line-missed'
  | 'too-sure'
  | 'too-careful'
  | 'another-class'
  | 'not-asked-of-texture'
  | 'another-share'
  | 'another-cause';

/** How far off an answer was, in what it is measured by. */
export type Off = { by: number; unit: 'mm' | 's' | 'points' | 'classes' };

/** What an answer is worth: 100 for the true one, down to nothing. */
export type Score = { points: number; off: Off; slip?: Slip };

/** From so many points on a task counts as done; under so many as missed. */
export const DONE_POINTS = 80;
export const MISSED_POINTS = 60;

/** What a score comes to in a word. */
export const gradeOf = (points: number): 'done' | 'nearly' | 'missed' =>
  points >= DONE_POINTS ? 'done' : points >= MISSED_POINTS ? 'nearly' : 'missed';

/** An answer that is off by no more than `fair` is as good as true; at five times that it is worth nothing. */
const NOTHING_AT = 5;

/** The score of an answer that is off by so much: full within what is fair to ask, then falling evenly to nothing. */
export function scoreOff(off: Off, fair: number, slip?: Slip): Score {
  const over = Math.abs(off.by) - fair;
  const points = over <= 1e-9 ? 100 : Math.max(0, Math.round(99 - (99 * over) / ((NOTHING_AT - 1) * fair)));
  return points >= DONE_POINTS ? { points, off } : { points, off, slip };
}

/** The slip that an answer is nearest to, where it is as near as the true answer would have to be. */
export function slipOf(
  answer: number,
  ways: Partial<Record<Slip, number | undefined>>,
  fair: number
): Slip | undefined {
  let best: { slip: Slip; by: number } | undefined;
  for (const [slip, leads] of Object.entries(ways) as [Slip, number | undefined][]) {
    if (leads === undefined || Number.isNaN(leads)) continue;
    const by = Math.abs(answer - leads);
    if (by <= fair && (!best || by < best.by)) best = { slip, by };
  }
  return best?.slip;
}
