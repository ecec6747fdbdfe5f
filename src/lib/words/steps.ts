import {
  formatCountdown,
  formatDuration,
  type HoleStep,
  type NextStep,
  type RunMethod,
  type TrialStep
} from '../core/index.ts';
import type { Format } from './format.ts';
import { t } from './index.ts';

/** Counted down to the second under this, ms; given as a clock time above. */
const COUNTDOWN_UNDER_MS = 3_600_000;

/** How late something is: to the second while that matters, then to the minute. */
function lateness(ms: number): string {
  const seconds = ms / 1000;
  return formatDuration(seconds < 600 ? seconds : Math.floor(seconds / 60) * 60);
}

/** What is to be done, as it stands under a jar. */
export function stepTitle(step: NextStep): string {
  if (step.kind === 'mark') {
    return step.state === 'missed' ? t.step.missed(t.layer[step.layer]) : t.step.mark(t.layer[step.layer]);
  }
  if (step.kind === 'lower' || step.kind === 'gauge') return t.step[step.kind](step.tool);
  return t.step[step.kind];
}

/** The same inside a sentence. */
export function stepShort(step: NextStep): string {
  if (step.kind === 'mark') return t.step.markShort(t.layer[step.layer]);
  if (step.kind === 'lower') return t.step.lowerShort(step.tool);
  if (step.kind === 'gauge') return t.step.gaugeShort(step.tool);
  if (step.kind === 'set-down') return t.step.setDownShort;
  if (step.kind === 'shake') return t.step.shakeShort;
  return step.kind === 'read' ? t.step.readShort : t.step.finishShort;
}

/** When it is to be done: `in 3:12`, `18:52`, `now`, `2 min late`, `ready`. */
export function stepTime(step: NextStep | HoleStep | TrialStep, format: Format, now: number): string {
  if (step.kind === 'set-down' && step.dueAt === undefined) return t.step.shaken;
  if (step.state === 'ready') return t.step.ready;
  if (step.state === 'waiting') {
    return step.dueAt - now < COUNTDOWN_UNDER_MS
      ? t.step.in(formatCountdown((step.dueAt - now) / 1000))
      : format.when(step.dueAt, now);
  }
  return step.state === 'due' ? t.step.now : t.step.late(lateness(now - step.dueAt));
}

/** How far the shaking of a jar is, while it lasts and is long enough: `shaking 3:12 of 10 min`. */
export function shakeTime(
  { jar, run, method }: { jar: { prep: { shakeStartedAt: number | null } }; run: unknown; method: RunMethod },
  now: number
): string | undefined {
  const { shakeStartedAt } = jar.prep;
  if (run || shakeStartedAt === null) return undefined;
  const gone = Math.max(0, (now - shakeStartedAt) / 1000);
  if (gone >= method.agitate.fromS) return t.step.shakenEnough;
  return t.step.shaking(formatCountdown(gone), formatDuration(method.agitate.fromS));
}

/** A jar's step as one line: `K3 · mark the silt in 3:12`. */
export function dueLine(code: string, step: NextStep, format: Format, now: number): string {
  const what = stepShort(step);
  return lineOf(code, what, step, format, now);
}

/** What has a time, of a jar, a hole or a set of pieces. */
type Timed = Pick<NextStep, 'state' | 'dueAt'> | HoleStep | TrialStep;

function lineOf(code: string, what: string, step: Timed, format: Format, now: number): string {
  if (step.state === 'ready' || step.dueAt === undefined) return t.due.now(code, what).replace(/ now$/, '');
  if (step.state === 'due') return t.due.now(code, what);
  if (step.state !== 'waiting') return t.due.late(code, what, lateness(now - step.dueAt));
  return step.dueAt - now < COUNTDOWN_UNDER_MS
    ? t.due.in(code, what, formatCountdown((step.dueAt - now) / 1000))
    : t.due.at(code, what, format.when(step.dueAt, now));
}

/** A cut size with the digits it deserves, um. */
export function cutText(um: number): string {
  return um >= 20 ? um.toFixed(0) : um >= 3 ? um.toFixed(1) : um.toFixed(2);
}

/** The step of a hole, or of a set of trial pieces, as one line: `Nh1 · read the water in 3:12`, `B2t1 · turn them at 18:52`. */
export function aheadLine(
  of: { hole: { code: string }; step?: HoleStep } | { trial: { code: string }; step?: TrialStep },
  format: Format,
  now: number
): string {
  if ('hole' in of)
    return of.step ? lineOf(of.hole.code, t.hole.short[of.step.kind], of.step, format, now) : of.hole.code;
  return of.step ? lineOf(of.trial.code, t.trial.short[of.step.kind], of.step, format, now) : of.trial.code;
}
