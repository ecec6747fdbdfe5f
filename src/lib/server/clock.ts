let shiftMs = 0;

/** The server's time, ms UTC: the one clock that all devices are corrected to. */
export function serverNow(): number {
  return Date.now() + shiftMs;
}

/** Moves the server's clock; only the test route may call this. */
export function shiftClock(ms: number): void {
  shiftMs += ms;
}

/** A day more than any zone is ahead of UTC. */
const DAY_MS = 86_400_000;

/** Whether a local day, YYYY-MM-DD, lies ahead everywhere. @param now ms UTC */
export const isDayAhead = (day: string, now: number): boolean => Date.parse(day) > now + DAY_MS;
