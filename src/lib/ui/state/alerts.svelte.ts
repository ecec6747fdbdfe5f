import type { JarView } from '../jar/view';
import type { Format } from '../format';
import { playCall } from './sounds';

const called = new Set<string>();
let first = true;
let asleep = $state(false);

export const alerts = {
  /** A call fell due but the browser kept sound asleep. */
  get soundAsleep() {
    return asleep;
  }
};

/** Forgets that sound was asleep, once the page has been touched. */
export function soundWoken(): void {
  asleep = false;
}

function inQuietHours(format: Format, now: number): boolean {
  const { quietFrom, quietTo } = format.profile;
  const minute = format.minuteOfDay(now);
  if (quietFrom === quietTo) return false;
  return quietFrom < quietTo
    ? minute >= quietFrom && minute < quietTo
    : minute >= quietFrom || minute < quietTo;
}

/**
 * Calls once for every step that falls due while the page is open, except in quiet hours. What was due already when
 * the page opened is shown, not sounded.
 */
export function callForDue(views: readonly JarView[], format: Format, now: number): void {
  for (const { jar, run, step } of views) {
    if (step.dueAt === undefined || step.state === 'waiting') continue;
    const key = `${run?.id ?? jar.id}:${step.kind}:${step.layer ?? ''}`;
    if (called.has(key)) continue;
    called.add(key);
    if (first || inQuietHours(format, now)) continue;
    if (!playCall(format.profile.sound)) asleep = true;
  }
  first = false;
}
