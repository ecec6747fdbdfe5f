import { page } from '$app/state';

const OFFSET_KEY = 'tivrel:clock-offset';
/** Ask the server again this often, and whenever the device's clock is seen to jump. */
const REMEASURE_MS = 10 * 60_000;
const JUMP_MS = 1500;

let offsetMs = $state(0);
let tick = $state<number | null>(null);
let measuredAt = 0;
/** How often it was begun to measure. */
let turns = 0;

/** One measurement: the server's time against the middle of the round trip. */
async function sample(): Promise<{ offset: number; trip: number }> {
  const sent = Date.now();
  const began = performance.now();
  const response = await fetch('/api/v1/clock', { cache: 'no-store' });
  if (!response.ok) throw new Error('no time was told');
  const { now } = (await response.json()) as { now: number };
  const back = Date.now();
  if (Math.abs(back - sent - (performance.now() - began)) > JUMP_MS)
    throw new Error('the clock was set meanwhile');
  return { offset: now - (sent + back) / 2, trip: back - sent };
}

/** A trip this short puts the server's clock right to half of it, which no hand notices, ms. */
const SHORT_TRIP_MS = 60;
const TRIES = 3;

/**
 * Measures the offset to the server's clock from the quickest of a few round trips, or the first that is short enough;
 * keeps the last one if the server does not tell it.
 */
export async function measureOffset(): Promise<void> {
  const turn = ++turns;
  try {
    let best = await sample();
    for (let i = 1; i < TRIES && best.trip > SHORT_TRIP_MS; i++) {
      const next = await sample();
      if (next.trip < best.trip) best = next;
    }
    // A measurement that was begun later knows better.
    if (turn !== turns) return;
    offsetMs = best.offset;
    measuredAt = Date.now();
    localStorage.setItem(OFFSET_KEY, String(offsetMs));
  } catch {
    // Not told: the offset measured before still holds.
  }
}

/** The time now, ms UTC: this device's clock corrected to the server's. The one source of time in the browser. */
export function correctedNow(): number {
  return Math.round(Date.now() + offsetMs);
}

/** The shown time: ticks once a second in the browser, stands at the load's time on the server. */
export const clock = {
  get now(): number {
    return tick ?? (page.data.now as number);
  }
};

/** Starts the ticking; answers how to stop it, and when the first measurement is in (or has failed). */
export function startClock(): { stop: () => void; measured: Promise<void> } {
  offsetMs = Number(localStorage.getItem(OFFSET_KEY)) || 0;
  let timer: ReturnType<typeof setTimeout>;
  let lastWall = Date.now();
  let lastSteady = performance.now();
  const beat = () => {
    const wall = Date.now();
    const steady = performance.now();
    const jumped = Math.abs(wall - lastWall - (steady - lastSteady)) > JUMP_MS;
    lastWall = wall;
    lastSteady = steady;
    if (jumped || wall - measuredAt > REMEASURE_MS) {
      measuredAt = wall;
      void measureOffset();
    }
    tick = correctedNow();
    timer = setTimeout(beat, 1000 - (tick % 1000) + 5);
  };
  const seen = () => {
    if (document.visibilityState === 'visible') void measureOffset().then(() => (tick = correctedNow()));
  };
  document.addEventListener('visibilitychange', seen);
  const measured = measureOffset().then(() => void (tick = correctedNow()));
  beat();
  const stop = () => {
    clearTimeout(timer);
    document.removeEventListener('visibilitychange', seen);
  };
  return { stop, measured };
}
