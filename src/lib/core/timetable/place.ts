import { known } from '../known.ts';
import { insertStretch, lastClear, nextClear, type Stretch } from './hours.ts';
import type { BenchJob, PlannedTask } from './types.ts';

/** A job in its place. */
export type Placed = { setDownAt: number; tasks: PlannedTask[]; finishAt: number };

const MS = 1000;

/**
 * Places the tasks of a job for one set-down: each as near as can be to what the method asks for, the reading as soon
 * as it may be. Answers how far the set-down must move, ms, if some window is full.
 */
function tryAt(job: BenchJob, setDownAt: number, taken: Stretch[]): Placed | number {
  const tasks: PlannedTask[] = [];
  let ownFrom = -Infinity;
  for (const task of job.tasks) {
    const askedAt = setDownAt + Math.round(task.atS * MS);
    const windowFromAt = setDownAt + Math.round(task.fromS * MS);
    const windowToAt = setDownAt + Math.round(task.toS * MS);
    const length = Math.round(task.durationS * MS);
    const from = Math.max(windowFromAt, ownFrom);
    const later = nextClear(taken, Math.max(askedAt, from), length);
    const earlier = task.kind === 'read' ? undefined : lastClear(taken, from, askedAt, length);
    let startAt = later;
    if (earlier !== undefined && (later > windowToAt || askedAt - earlier < later - askedAt))
      startAt = earlier;
    // All starts before the next clear one are taken: the window's end must reach it.
    if (startAt > windowToAt) return nextClear(taken, from, length) - windowToAt;
    const { kind, layer } = task;
    const endAt = startAt + length;
    tasks.push({ jobId: job.id, kind, layer, startAt, endAt, askedAt, windowFromAt, windowToAt });
    ownFrom = endAt;
  }
  return { setDownAt, tasks, finishAt: tasks.at(-1)?.endAt ?? setDownAt };
}

/** How far ahead a place is sought, and how often a set-down may be moved before it counts as hopeless. */
const HORIZON_MS = 8 * 24 * 3600 * MS;
const MOST_MOVES = 20_000;

/**
 * Earliest set-down at which every task of a job finds a place among what is taken.
 *
 * @param earliestAt nothing may start before it, ms UTC
 * @param taken hands and shut hours, in order
 * @returns undefined if there is none within eight days
 */
export function placeEarliest(job: BenchJob, earliestAt: number, taken: Stretch[]): Placed | undefined {
  const leadMs = Math.round(-Math.min(0, ...job.tasks.map((t) => t.atS)) * MS);
  let setDownAt = earliestAt + leadMs;
  for (let i = 0; i < MOST_MOVES && setDownAt < earliestAt + HORIZON_MS; i++) {
    const placed = tryAt(job, setDownAt, taken);
    if (typeof placed !== 'number') return placed;
    setDownAt += Math.max(placed, MS);
  }
  return undefined;
}

/** A job whose set-down is given: the place of its tasks, undefined if some window is full. */
export function placeFixed(job: BenchJob, setDownAt: number, taken: Stretch[]): Placed | undefined {
  const placed = tryAt(job, setDownAt, taken);
  return typeof placed === 'number' ? undefined : placed;
}

/** Takes hands for the tasks of a placed job. */
export function takeHands(taken: Stretch[], placed: Placed): void {
  for (const task of placed.tasks) {
    if (task.endAt > task.startAt) insertStretch(taken, { from: task.startAt, to: task.endAt });
  }
}

/**
 * Places whole jobs at given set-downs together, so that a task with a wide window gives way to one with none.
 * Tasks with no room to move come first, then those whose window ends soonest; each near what the method asks for, or,
 * if that fails, each as early as it may be.
 *
 * @returns undefined if the tasks cannot all be met that way
 */
export function arrange(
  jobs: readonly BenchJob[],
  setDownAt: ReadonlyMap<string, number>,
  shut: readonly Stretch[]
): Map<string, Placed> | undefined {
  return arrangeBy(jobs, setDownAt, shut, true) ?? arrangeBy(jobs, setDownAt, shut, false);
}

function arrangeBy(
  jobs: readonly BenchJob[],
  setDownAt: ReadonlyMap<string, number>,
  shut: readonly Stretch[],
  nearAsked: boolean
): Map<string, Placed> | undefined {
  const downOf = ({ id }: BenchJob) => known(setDownAt.get(id), 'every job comes with its set-down');
  const all = jobs.flatMap((job) => {
    const down = downOf(job);
    return job.tasks.map((task): PlannedTask & { length: number } => ({
      jobId: job.id,
      kind: task.kind,
      layer: task.layer,
      startAt: NaN,
      endAt: NaN,
      askedAt: down + Math.round(task.atS * MS),
      windowFromAt: down + Math.round(task.fromS * MS),
      windowToAt: down + Math.round(task.toS * MS),
      length: Math.round(task.durationS * MS)
    }));
  });
  const room = (t: PlannedTask) => t.windowToAt - t.windowFromAt;
  all.sort((a, b) => Math.sign(room(a)) - Math.sign(room(b)) || a.windowToAt - b.windowToAt);
  const taken = [...shut];
  for (const task of all) {
    const { windowFromAt, windowToAt, length } = task;
    const askedAt = task.kind === 'read' || !nearAsked ? windowFromAt : task.askedAt;
    const later = nextClear(taken, askedAt, length);
    const earlier = askedAt > windowFromAt ? lastClear(taken, windowFromAt, askedAt, length) : undefined;
    const isEarlier = earlier !== undefined && (later > windowToAt || askedAt - earlier < later - askedAt);
    task.startAt = isEarlier ? earlier : later;
    if (task.startAt > windowToAt) return undefined;
    task.endAt = task.startAt + length;
    if (length > 0) insertStretch(taken, { from: task.startAt, to: task.endAt });
  }
  const out = new Map<string, Placed>();
  for (const job of jobs) {
    const tasks = all.filter((t) => t.jobId === job.id).map(({ length: _, ...task }) => task);
    tasks.sort((a, b) => a.startAt - b.startAt);
    out.set(job.id, { setDownAt: downOf(job), tasks, finishAt: tasks.at(-1)?.endAt ?? 0 });
  }
  return out;
}

/**
 * Set-downs worth trying for a job beside others: as early as can be, and wherever one of its windows just opens behind
 * something that is taken, or could be. Between two of these it could be moved forward and nothing would be lost.
 */
export function setDownsWorthTrying(
  job: BenchJob,
  earliestAt: number,
  beside: Iterable<Placed>,
  shut: readonly Stretch[]
): number[] {
  const leadMs = Math.round(-Math.min(0, ...job.tasks.map((t) => t.atS)) * MS);
  const first = earliestAt + leadMs;
  const ends = shut.map((s) => s.to);
  for (const { tasks } of beside) {
    for (const t of tasks) {
      const length = t.endAt - t.startAt;
      ends.push(t.endAt, t.windowFromAt + length, t.windowToAt + length);
    }
  }
  const out = new Set([first]);
  for (const end of ends) {
    for (const task of job.tasks) {
      const setDownAt = end - Math.round(task.toS * MS);
      if (setDownAt > first) out.add(setDownAt);
    }
  }
  return [...out].sort((a, b) => a - b);
}
