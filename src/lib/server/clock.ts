let shiftMs = 0;

/** The server's time, ms UTC: the one clock that all devices are corrected to. */
export function serverNow(): number {
  return Date.now() + shiftMs;
}

/** Moves the server's clock; only the test route may call this. */
export function shiftClock(ms: number): void {
  shiftMs += ms;
}
