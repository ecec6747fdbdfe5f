import { cueLead, type NextStep } from '../core/index.ts';
import { t } from '../words/index.ts';
import { byUrgency, type JarView } from './jars.ts';

/** Something that calls when its time comes, once. Times in ms UTC. */
export type Call = {
  key: string;
  /** The page of what calls. */
  path: string;
  dueAt: number;
  /** What is said aloud and written in a notice. */
  line: string;
  /** A cue ahead of the time itself: said, not sounded in full; pointless once `beforeAt` has come. */
  beforeAt?: number;
};

function lineOf(code: string, step: NextStep): string {
  if (step.kind === 'shake') return t.call.shake(code);
  if (step.kind === 'set-down') return t.call.setDown(code);
  if (step.kind === 'lower') return t.call.lower(code, step.tool);
  if (step.kind === 'gauge') return t.call.gauge(code, step.tool);
  return step.kind === 'mark' ? t.call.mark(code, t.layer[step.layer]) : t.call.read(code);
}

/**
 * What will call, or has: every timed step that is next, with a cue ahead of a mark, and shaking that has lasted long
 * enough. What the header calls first, then the most pressing.
 */
export function callsOf(views: readonly JarView[], called?: JarView): Call[] {
  const rest = byUrgency(views).filter((view) => view !== called);
  return [...(called ? [called] : []), ...rest].flatMap(({ jar, method, run, step }) => {
    const out: Call[] = [];
    const path = `/tests/${jar.id}`;
    if (step.dueAt !== undefined) {
      const key = `${run?.id ?? jar.id}:${step.kind}:${step.layer ?? step.no ?? ''}`;
      const line = lineOf(jar.code, step);
      if ((step.kind === 'mark' || step.kind === 'lower') && run) {
        const leadS = cueLead((step.dueAt - run.setDownAt) / 1000);
        out.push({
          key: `${key}:ahead`,
          path,
          dueAt: step.dueAt - leadS * 1000,
          line: t.call.ahead(line, leadS),
          beforeAt: step.dueAt
        });
      }
      out.push({ key, path, dueAt: step.dueAt, line });
    }
    const { shakeStartedAt, soakStartedAt } = jar.prep;
    if (!run && soakStartedAt && method.soakS !== undefined && shakeStartedAt === null) {
      out.push({
        key: `${jar.id}:soak:${soakStartedAt}`,
        path,
        dueAt: soakStartedAt + method.soakS * 1000,
        line: t.call.soaked(jar.code)
      });
    }
    // A planned jar calls to be set down by itself.
    if (step.kind === 'set-down' && step.dueAt === undefined && shakeStartedAt !== null) {
      const dueAt = shakeStartedAt + method.agitate.fromS * 1000;
      out.push({
        key: `${jar.id}:shake:${shakeStartedAt}`,
        path,
        dueAt,
        line: t.call.shaken(jar.code)
      });
    }
    return out;
  });
}

/**
 * The calls to make now, in order, of those not made yet: what is due by its urgency, then cues that still lie ahead of
 * their time. A cue whose time has come is left out: the step itself calls.
 */
export function callsNow(calls: readonly Call[], made: ReadonlySet<string>, now: number): Call[] {
  const due = calls.filter((c) => c.dueAt <= now && !made.has(c.key) && (c.beforeAt ?? Infinity) > now);
  return [...due.filter((c) => c.beforeAt === undefined), ...due.filter((c) => c.beforeAt !== undefined)];
}

/** A wait shorter than this is stood through, screen on, ms. */
const SHORT_WAIT_MS = 5 * 60_000;

/** Whether somebody is at the bench, waiting for the next call: the screen should then stay on. */
export function waitingNow(calls: readonly Call[], now: number): boolean {
  return calls.some(
    (call) =>
      call.beforeAt === undefined && call.dueAt > now - SHORT_WAIT_MS && call.dueAt - now < SHORT_WAIT_MS
  );
}
