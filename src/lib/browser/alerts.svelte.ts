import { callsNow, type Call } from '../workbench/calls.ts';
import { isQuiet, quietOf } from '../workbench/hours.ts';
import type { Format } from '../words/format.ts';
import { playCall } from './sounds.ts';

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

/** Asks the browser for leave to show notices; false if it is refused. */
export async function allowNotices(): Promise<boolean> {
  return 'Notification' in globalThis && (await Notification.requestPermission()) === 'granted';
}

/** Shows a notice; false if this browser does not, or may not. */
export async function showNotice(call: Pick<Call, 'key' | 'line' | 'path'>): Promise<boolean> {
  if (!('Notification' in globalThis) || Notification.permission !== 'granted') return false;
  const worker = await navigator.serviceWorker?.getRegistration();
  await worker?.showNotification(call.line, {
    tag: call.key,
    icon: '/favicon-due.svg',
    data: { path: call.path }
  });
  return worker !== undefined;
}

/** Says a line aloud, after those that are being said; false if this browser cannot. */
export function speak(line: string): boolean {
  if (!('speechSynthesis' in globalThis)) return false;
  const words = new SpeechSynthesisUtterance(line);
  words.lang = 'en-GB';
  speechSynthesis.speak(words);
  return true;
}

/**
 * Calls once for everything that falls due while the page is open, except in quiet hours: one sound for what falls due
 * together, then a line and a notice each, the most pressing first, as the profile wants them. What was due already
 * when the page opened is shown, not called.
 */
export function callForDue(calls: readonly Call[], format: Format, now: number): void {
  const { sound, spoken, notices } = format.profile;
  const due = callsNow(calls, called, now);
  for (const call of calls) if (call.dueAt <= now) called.add(call.key);
  if (first || due.length === 0 || isQuiet(quietOf(format.profile), format.zone, now)) {
    first = false;
    return;
  }
  const ahead = due.every((call) => call.beforeAt !== undefined);
  if (!playCall(sound, ahead ? 'soft' : 'full')) asleep = true;
  for (const call of due) {
    if (spoken === 'on') speak(call.line);
    // A cue is for somebody who stands by: no notice for it.
    if (notices === 'on' && call.beforeAt === undefined) void showNotice(call);
  }
}
