import { known } from '../known.ts';
import { settlingTime } from '../physics/settling.ts';
import type { RunMethod, TimedMark, TimedReading } from './types.ts';
import { HAND_S, markWindow, TIME_TOLERANCE } from './window.ts';

/** What a jar waits for. */
export type StepKind = 'shake' | 'set-down' | 'mark' | 'lower' | 'gauge' | 'read' | 'finish';

/**
 * How pressing it is. `ready`: may be done at any time from now on. `waiting`: not yet. `due`: now, inside its
 * window. `late`: past its window, still worth doing. `missed`: so late that the next step has come.
 */
export type StepState = 'ready' | 'waiting' | 'due' | 'late' | 'missed';

/** What is to be done: a mark of a layer, an instrument lowered and read, or the jar as a whole. */
type StepTask =
  | { kind: 'mark'; layer: TimedMark['layer']; no?: undefined; tool?: undefined }
  /** `no`: which of the method's instrument readings it is, from 0: lowered for, then read. */
  | { kind: 'lower' | 'gauge'; no: number; tool: 'hydrometer' | 'pipette'; layer?: undefined }
  | {
      kind: Exclude<StepKind, 'mark' | 'lower' | 'gauge'>;
      layer?: undefined;
      no?: undefined;
      tool?: undefined;
    };

/** When it is to be done: due, and the end of its window, ms UTC; `ready` waits for nobody. */
type StepTime =
  | { state: 'ready'; dueAt?: undefined; untilAt?: undefined }
  | { state: Exclude<StepState, 'ready'>; dueAt: number; untilAt: number };

/** The next thing to do to a jar. */
export type NextStep = StepTask & StepTime;

/** What is known of a running jar, as the timetable sees it. Times in ms UTC. */
export type RunFacts = {
  setDownAt?: number;
  /** Set-down that a timetable gives it, and when shaking began. */
  plannedAt?: number;
  shakeStartedAt?: number;
  /** Layers marked so far, and those whose mark was passed over for good. */
  marked: readonly { layer: string; at: number }[];
  passed?: readonly string[];
  /** It stood already when it was met: nobody saw it set down, so no mark has a time. */
  stoodAlready?: boolean;
  hasReading: boolean;
  /** Instrument readings taken so far, by their number. */
  gauged?: readonly { no: number }[];
  /** When readings of its top say that the jar can be read, ms UTC. */
  stillAt?: number;
};

/**
 * What to do next to a jar.
 *
 * A mark is passed over once a later layer has been marked, or where somebody says so. The last mark and the reading of a
 * timed method follow each other; a jar without a last mark is read at the end time of its method.
 *
 * @param now ms UTC
 */
export function nextStep(method: RunMethod, run: RunFacts, now: number): NextStep {
  if (run.hasReading) return { kind: 'finish', state: 'ready' };
  if (run.setDownAt === undefined) return beforeSetDown(method, run, now);
  const start = run.setDownAt;
  if (method.readings && method.readings.length > 0) return instrumentSteps(method, run, start, now)[0];
  if (run.stoodAlready) return { kind: 'read', state: 'ready' };
  const open = marksLeft(method, run);
  const mark = open[0];
  if (mark) {
    const dueAt = start + mark.atS * 1000;
    const untilAt = start + markWindow(mark).untilS * 1000;
    const overtakenAt = open[1] ? start + open[1].atS * 1000 : Infinity;
    const state = now < dueAt ? 'waiting' : now <= untilAt ? 'due' : now < overtakenAt ? 'late' : 'missed';
    return { kind: 'mark', layer: mark.layer, dueAt, untilAt, state };
  }
  const last = method.marks.at(-1);
  if (last && run.marked.some((m) => m.layer === last.layer)) return { kind: 'read', state: 'ready' };
  // What the jar itself tells goes before what the method says of jars in general.
  const dueAt = run.stillAt ?? start + method.end.fromS * 1000;
  const untilAt = Math.max(dueAt, start + method.end.toS * 1000);
  return { kind: 'read', dueAt, untilAt, state: now < dueAt ? 'waiting' : now <= untilAt ? 'due' : 'late' };
}

/** Marks that are still to be made, in order: those over the last one made that nobody has passed over. */
function marksLeft(method: RunMethod, { marked, passed = [] }: RunFacts): TimedMark[] {
  const last = method.marks.findLastIndex((mark) => marked.some((m) => m.layer === mark.layer));
  return method.marks.slice(last + 1).filter((mark) => !passed.includes(mark.layer));
}

/** s after set-down at which an instrument is read, once its draw time is known. */
export function instrumentAt({ atS, limitUm, fallMm }: TimedReading, tempC: number): number {
  return (
    atS ??
    settlingTime({ diameterUm: known(limitUm, 'what has no time is asked for at a size'), fallMm, tempC })
  );
}

/**
 * What is still to be lowered and read, in order. A reading that nobody took is passed over once hands are wanted for the
 * next; it can be typed in all the same. Once none is left, the test can be finished.
 */
function instrumentSteps(method: RunMethod, run: RunFacts, start: number, now: number): NextStep[] {
  const planned = (method.readings ?? []).map((r, no) => {
    // The bench resolves draws by limit for its water; a method alone is taken at 20 degC.
    const readAt = start + instrumentAt(r, 20) * 1000;
    return { no, readAt, lowerAt: readAt - r.leadS * 1000 };
  });
  let next = Math.max(-1, ...(run.gauged ?? []).map((g) => g.no)) + 1;
  while (next < planned.length - 1 && now >= planned[next + 1].lowerAt) next += 1;
  if (next >= planned.length) return [{ kind: 'finish', state: 'ready' }];
  const tool = method.kind === 'pipette' ? 'pipette' : 'hydrometer';
  return planned.slice(next).map(({ no, readAt, lowerAt }): NextStep => {
    if (now < readAt && lowerAt < readAt) {
      return {
        kind: 'lower',
        no,
        tool,
        dueAt: lowerAt,
        untilAt: readAt,
        state: now < lowerAt ? 'waiting' : 'due'
      };
    }
    const untilAt = readAt + Math.max(HAND_S * 1000, TIME_TOLERANCE * (readAt - start));
    return {
      kind: 'gauge',
      no,
      tool,
      dueAt: readAt,
      untilAt,
      state: now < readAt ? 'waiting' : now <= untilAt ? 'due' : 'late'
    };
  });
}

/** A jar that does not stand yet: it waits for nobody, unless a timetable says when. */
function beforeSetDown(method: RunMethod, run: RunFacts, now: number): NextStep {
  if (run.plannedAt === undefined) return { kind: 'set-down', state: 'ready' };
  const shakeAt = run.plannedAt - method.agitate.fromS * 1000;
  const { shakeStartedAt } = run;
  const kind = shakeStartedAt === undefined ? 'shake' : 'set-down';
  const dueAt =
    shakeStartedAt === undefined
      ? shakeAt
      : Math.max(run.plannedAt, shakeStartedAt + method.agitate.fromS * 1000);
  const untilAt = dueAt + PLAN_SLACK_MS;
  return { kind, dueAt, untilAt, state: now < dueAt ? 'waiting' : now <= untilAt ? 'due' : 'late' };
}

/** How late a planned step may be before it counts as late, ms. */
const PLAN_SLACK_MS = 120_000;

/** A mark this soon after set-down is stood for, s; a later one is walked to. */
const STOOD_FOR_S = 600;

/**
 * How long before a mark a cue is given, s: time to take up tape and pen where one stands by, or to come over where
 * one has been doing something else.
 */
export function cueLead(atS: number): number {
  return atS <= STOOD_FOR_S ? 10 : 120;
}

/** Late layers lose nothing by waiting: they call, but after what does. */
const isLateRead = (step: NextStep) => step.kind === 'read' && step.state === 'late';

/** Whether a step is wanted now: the title, the header and the sound call it. */
export function isPressing(step: NextStep): boolean {
  return step.state === 'due' || step.state === 'late';
}

/** Whether waiting spoils it further: a late mark, but not layers that are read late. */
export function isAlarm(step: NextStep): boolean {
  return (step.state === 'late' || step.state === 'missed') && !isLateRead(step);
}

/**
 * Order of urgency: what is due now, what closes first before the rest; then what is late, what has just become so first, for
 * it can be saved soonest; then layers that are read late, what was missed for good, what comes, and what waits for nobody.
 */
export function compareUrgency(a: NextStep, b: NextStep): number {
  const rank: Record<StepState, number> = { due: 0, late: 1, missed: 3, waiting: 4, ready: 5 };
  const rankOf = (step: NextStep) => (isLateRead(step) ? 2 : rank[step.state]);
  const timeOf = (step: NextStep) =>
    step.state === 'due' ? step.untilAt : step.state === 'late' ? -step.untilAt : (step.dueAt ?? 0);
  return rankOf(a) - rankOf(b) || timeOf(a) - timeOf(b);
}

/**
 * Every timed step of a run that lies ahead of `now`, for the ribbon of coming hours. Times in ms UTC.
 */
export function stepsAhead(method: RunMethod, run: RunFacts, now: number): NextStep[] {
  const first = nextStep(method, run, now);
  const start = run.setDownAt;
  if (first.state === 'ready') return [];
  if (start === undefined) return [first];
  if (first.no !== undefined) return instrumentSteps(method, run, start, now);
  if (first.kind !== 'mark') return first.state === 'waiting' ? [first] : [];
  const steps = marksLeft(method, run).map((mark, i): NextStep => ({
    kind: 'mark',
    layer: mark.layer,
    dueAt: start + mark.atS * 1000,
    untilAt: start + markWindow(mark).untilS * 1000,
    state: i === 0 ? first.state : 'waiting'
  }));
  return steps;
}
