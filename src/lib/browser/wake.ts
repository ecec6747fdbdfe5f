/** Whether this browser can keep the screen on, asked of it for a moment. */
export async function screenCanStayOn(): Promise<boolean> {
  try {
    const trial = await navigator.wakeLock?.request('screen');
    void trial?.release();
    return trial !== undefined;
  } catch {
    return false;
  }
}

let lock: WakeLockSentinel | undefined;
let wanted = false;

async function take(): Promise<void> {
  if (!wanted || lock || document.visibilityState !== 'visible') return;
  try {
    lock = await navigator.wakeLock?.request('screen');
    lock?.addEventListener('release', () => (lock = undefined));
    if (!wanted) void lock?.release();
  } catch {
    // Refused, as on a low battery: the sound still calls.
  }
}

/** Keeps the screen of a phone on, or lets it go off again. The browser drops the lock whenever the page is hidden. */
export function keepScreenOn(on: boolean): void {
  if (on === wanted) return;
  wanted = on;
  if (on) void take();
  else void lock?.release();
}

/** Takes the lock again when the page comes back; returns how to stop. */
export function watchScreen(): () => void {
  const seen = () => void take();
  document.addEventListener('visibilitychange', seen);
  return () => {
    document.removeEventListener('visibilitychange', seen);
    keepScreenOn(false);
  };
}
