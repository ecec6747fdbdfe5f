import type { TimedMark } from './types.ts';

/** Default tolerance of a reading at time t: a tenth of t, 5 % in diameter. */
export const TIME_TOLERANCE = 0.1;

/** A hand needs about so long to press the tape, s. */
export const HAND_S = 5;

/**
 * Whether the hand that pressed may still be on the glass, ms UTC. A shown time ticks once a second: it may lie a little
 * before the press, and the hand is there all the same.
 */
export function handIsOn(pressedAt: number, now: number): boolean {
  return Math.abs(now - pressedAt) < HAND_S * 1000;
}

/** A mark this many times earlier or later than its window means another size (1.4 times in diameter), not another minute. */
const FAR_TIMES = 2;

/** The window of a timed mark, s after set-down. */
export type MarkWindow = { fromS: number; untilS: number };

/**
 * When a timed mark counts as on time, s after set-down: a tenth of its time to either side, but no less than a hand needs;
 * where the method gives an end of its own, up to that.
 *
 * @example markWindow({ layer: 'sand', atS: 60 }) // { fromS: 54, untilS: 66 }
 */
export function markWindow({ atS, untilS }: Pick<TimedMark, 'atS' | 'untilS'>): MarkWindow {
  const slack = Math.max(HAND_S, TIME_TOLERANCE * atS);
  return { fromS: Math.max(0, atS - slack), untilS: untilS ?? atS + slack };
}

/** How a mark lies to its window; `far` where it cuts another size than the one it is for. */
export type MarkTiming = { kind: 'early' | 'on-time' | 'late'; offS: number; far: boolean };

/**
 * How a press lies to the window of its mark. Far is half its time or less, or twice its end or more: what has fallen by
 * then is another size. A late mark of the clay is never far: it closes the deposit and cuts nothing.
 *
 * @param timeS s after set-down
 * @returns `offS`: s from the time asked for, below zero for early
 * @example timingOf({ layer: 'silt', atS: 7200 }, 110) // { kind: 'early', offS: -7090, far: true }
 */
export function timingOf(mark: TimedMark, timeS: number): MarkTiming {
  const { fromS, untilS } = markWindow(mark);
  const offS = timeS - mark.atS;
  if (timeS < fromS) return { kind: 'early', offS, far: timeS * FAR_TIMES <= mark.atS };
  if (timeS <= untilS) return { kind: 'on-time', offS, far: false };
  return { kind: 'late', offS, far: mark.layer !== 'clay' && timeS >= untilS * FAR_TIMES };
}
