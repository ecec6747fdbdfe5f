import { settlingTime } from '../physics/settling.ts';
import type { RunMethod, TimedMark, TimedReading } from './types.ts';

/** What a jar waits for. */
export type StepKind = 'shake' | 'set-down' | 'mark' | 'lower' | 'gauge' | 'read' | 'finish';

/**
 * How pressing it is. `ready`: may be done at any time from now on. `waiting`: not yet. `due`: now, inside its
 * window. `late`: past its window, still worth doing. `missed`: so late that the next step has come.
 */
export type StepState = 'ready' | 'waiting' | 'due' | 'late' | 'missed';

/** The next thing to do to a jar. */
export type NextStep = {
  kind: StepKind;
  layer?: TimedMark['layer'];
  /** Which of the method's instrument readings it is, from 0: lowered for, then read. */
  no?: number;
  tool?: 'hydrometer' | 'pipette';
  /** When it falls due, ms UTC; undefined for what waits for nobody. */
  dueAt?: number;
  /** End of its window, ms UTC. */
  untilAt?: number;
  state: StepState;
};

/** What is known of a running jar, as the timetable sees it. Times in ms UTC. */
export type RunFacts = {
  setDownAt?: number;
  /** Set-down that a timetable gives it, and when shaking began. */
  plannedAt?: number;
  shakeStartedAt?: number;
  /** Layers marked so far. */
  marked: readonly { layer: string; at: number }[];
  hasReading: boolean;
  /** Instrument readings taken so far, by their number. */
  gauged?: readonly { no: number }[];
  /** When readings of its top say that the jar can be read, ms UTC. */
  stillAt?: number;
};

/** Default tolerance of a reading at time t: a tenth of t, 5 % in diameter. */
export const TIME_TOLERANCE = 0.1;

/**
 * End of the window of a timed mark, s after set-down: the method's own end, or a tenth of its time but no
 * less than 5 s (a hand needs that long to press the tape).
 */
export function windowEnd(mark: TimedMark): number {
  return mark.untilS ?? mark.atS + Math.max(5, TIME_TOLERANCE * mark.atS);
}

/**
 * What to do next to a jar.
 *
 * A mark is passed over once a later layer has been marked. The last mark and the reading of a timed method
 * follow each other; a method without marks goes straight to reading at its end time.
 *
 * @param now ms UTC
 */
export function nextStep(method: RunMethod, run: RunFacts, now: number): NextStep {
  if (run.hasReading) return { kind: 'finish', state: 'ready' };
  if (run.setDownAt === undefined) return beforeSetDown(method, run, now);
  const start = run.setDownAt;
  if (method.readings && method.readings.length > 0) return instrumentSteps(method, run, now)[0];
  const lastMarked = method.marks.reduce(
    (last, mark, i) => (run.marked.some((m) => m.layer === mark.layer) ? i : last),
    -1
  );
  const mark = method.marks[lastMarked + 1];
  if (mark) {
    const after = method.marks[lastMarked + 2];
    const dueAt = start + mark.atS * 1000;
    const untilAt = start + windowEnd(mark) * 1000;
    const overtakenAt = after ? start + after.atS * 1000 : Infinity;
    const state = now < dueAt ? 'waiting' : now <= untilAt ? 'due' : now < overtakenAt ? 'late' : 'missed';
    return { kind: 'mark', layer: mark.layer, dueAt, untilAt, state };
  }
  if (method.marks.length > 0) return { kind: 'read', state: 'ready' };
  // What the jar itself tells goes before what the method says of jars in general.
  const dueAt = run.stillAt ?? start + method.end.fromS * 1000;
  const untilAt = Math.max(dueAt, start + method.end.toS * 1000);
  return { kind: 'read', dueAt, untilAt, state: now < dueAt ? 'waiting' : 'ready' };
}

/** s after set-down at which an instrument is read, once its draw time is known. */
export function instrumentAt({ atS, limitUm, fallMm }: TimedReading, tempC: number): number {
  return atS ?? settlingTime({ diameterUm: limitUm!, fallMm, tempC });
}

/**
 * What is still to be lowered and read, in order. A reading that nobody took is passed over once hands are wanted for the
 * next; it can be typed in all the same. Once none is left, the test can be finished.
 */
function instrumentSteps(method: RunMethod, run: RunFacts, now: number): NextStep[] {
  const start = run.setDownAt!;
  const planned = method.readings!.map((r, no) => {
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
    const untilAt = readAt + Math.max(5000, TIME_TOLERANCE * (readAt - start));
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
  const kind = run.shakeStartedAt === undefined ? 'shake' : 'set-down';
  const dueAt =
    kind === 'shake' ? shakeAt : Math.max(run.plannedAt, run.shakeStartedAt! + method.agitate.fromS * 1000);
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

/** Order of urgency: what is due now by its time, then what is late, then what comes, then what waits for nobody. */
export function compareUrgency(a: NextStep, b: NextStep): number {
  const rank: Record<StepState, number> = { due: 0, late: 1, missed: 2, waiting: 3, ready: 4 };
  return rank[a.state] - rank[b.state] || (a.dueAt ?? 0) - (b.dueAt ?? 0);
}

/**
 * Every timed step of a run that lies ahead of `now`, for the ribbon of coming hours. Times in ms UTC.
 */
export function stepsAhead(method: RunMethod, run: RunFacts, now: number): NextStep[] {
  const first = nextStep(method, run, now);
  if (first.dueAt === undefined) return [];
  if (run.setDownAt === undefined) return [first];
  if (first.no !== undefined) return instrumentSteps(method, run, now);
  if (first.kind !== 'mark') return first.state === 'waiting' ? [first] : [];
  const from = method.marks.findIndex((m) => m.layer === first.layer);
  return method.marks.slice(from).map((mark, i) => ({
    kind: 'mark' as const,
    layer: mark.layer,
    dueAt: run.setDownAt! + mark.atS * 1000,
    untilAt: run.setDownAt! + windowEnd(mark) * 1000,
    state: i === 0 ? first.state : ('waiting' as const)
  }));
}
