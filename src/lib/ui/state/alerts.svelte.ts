import type { Call } from '../jar/calls';
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

/** Asks the browser for leave to show notices; false if it is refused. */
export async function allowNotices(): Promise<boolean> {
  return 'Notification' in globalThis && (await Notification.requestPermission()) === 'granted';
}

async function showNotice(call: Call): Promise<void> {
  if (!('Notification' in globalThis) || Notification.permission !== 'granted') return;
  const worker = await navigator.serviceWorker?.getRegistration();
  await worker?.showNotification(call.line, {
    tag: call.key,
    icon: '/favicon-due.svg',
    data: { path: `/tests/${call.jarId}` }
  });
}

function speak(line: string): void {
  if (!('speechSynthesis' in globalThis)) return;
  const words = new SpeechSynthesisUtterance(line);
  words.lang = 'en-GB';
  speechSynthesis.speak(words);
}

/**
 * Calls once for everything that falls due while the page is open, except in quiet hours: sound, spoken line and
 * notice as the profile wants them. What was due already when the page opened is shown, not called.
 */
export function callForDue(calls: readonly Call[], format: Format, now: number): void {
  const { sound, spoken, notices } = format.profile;
  for (const call of calls) {
    if (call.dueAt > now || called.has(call.key)) continue;
    called.add(call.key);
    if (first || inQuietHours(format, now)) continue;
    if (!playCall(sound)) asleep = true;
    if (spoken === 'on') speak(call.line);
    if (notices === 'on') void showNotice(call);
  }
  first = false;
}
