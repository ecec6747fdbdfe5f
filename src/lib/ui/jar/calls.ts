import type { NextStep } from '$lib/core';
import { t } from '../strings';
import type { JarView } from './view';

/** Something that calls when its time comes, once. Times in ms UTC. */
export type Call = {
  key: string;
  jarId: string;
  dueAt: number;
  /** What is said aloud and written in a notice. */
  line: string;
};

function lineOf(code: string, step: NextStep): string {
  if (step.kind === 'shake') return t.call.shake(code);
  if (step.kind === 'set-down') return t.call.setDown(code);
  return step.kind === 'mark' ? t.call.mark(code, t.layer[step.layer!]) : t.call.read(code);
}

/** What will call, or has: every timed step that is next, and shaking that has lasted long enough. */
export function callsOf(views: readonly JarView[]): Call[] {
  return views.flatMap(({ jar, method, run, step }) => {
    const out: Call[] = [];
    if (step.dueAt !== undefined) {
      const key = `${run?.id ?? jar.id}:${step.kind}:${step.layer ?? ''}`;
      out.push({ key, jarId: jar.id, dueAt: step.dueAt, line: lineOf(jar.code, step) });
    }
    const { shakeStartedAt } = jar.prep;
    // A planned jar calls to be set down by itself.
    if (step.kind === 'set-down' && step.dueAt === undefined && shakeStartedAt !== null) {
      const dueAt = shakeStartedAt + method.agitate.fromS * 1000;
      out.push({
        key: `${jar.id}:shake:${shakeStartedAt}`,
        jarId: jar.id,
        dueAt,
        line: t.call.shaken(jar.code)
      });
    }
    return out;
  });
}

/** A wait shorter than this is stood through, screen on, ms. */
const SHORT_WAIT_MS = 5 * 60_000;

/** Whether somebody is at the bench, waiting for the next call: the screen should then stay on. */
export function waitingNow(calls: readonly Call[], now: number): boolean {
  return calls.some((call) => call.dueAt > now - SHORT_WAIT_MS && call.dueAt - now < SHORT_WAIT_MS);
}
