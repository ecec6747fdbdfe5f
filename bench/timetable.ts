import { benchTasks, methodByKey, planBench, type BenchJob, type ShutHours } from '../src/lib/core/index.ts';
import { medianMs, report } from './measure.ts';

const MINUTE = 60_000;
const START = Date.UTC(2026, 4, 4, 8);
const KEYS = ['jar-timed', 'jar-half-hour', 'jar-builder', 'jar-bands'];
const COUNTS = [4, 8, 16, 40];
const NIGHTS: ShutHours[] = Array.from({ length: 9 }, (_, i) => ({
  fromAt: Date.UTC(2026, 4, 3 + i, 22),
  toAt: Date.UTC(2026, 4, 4 + i, 7),
  why: 'quiet'
}));

const jars = (count: number): BenchJob[] =>
  Array.from({ length: count }, (_, i) => ({
    id: String(i),
    tasks: benchTasks(methodByKey(KEYS[i % KEYS.length]), 18)
  }));

type Stretch = { fromAt: number; toAt: number };

/**
 * The reference: greedy first fit, as somebody does it with a list. Jar after jar gets the first minute at which all its
 * tasks, at the times the method asks for, meet no other task and no night; the reading alone may wait.
 *
 * @returns end of the last task, ms UTC
 */
function firstFit(jobs: readonly BenchJob[]): number {
  const taken: Stretch[] = NIGHTS.map(({ fromAt, toAt }) => ({ fromAt, toAt }));
  const free = (s: Stretch) => taken.every((t) => s.toAt <= t.fromAt || s.fromAt >= t.toAt);
  let finishAt = 0;
  for (const { tasks } of jobs) {
    for (let setDownAt = START; ; setDownAt += MINUTE) {
      const placed = stretchesAt(tasks, setDownAt, free);
      if (!placed) continue;
      taken.push(...placed);
      finishAt = Math.max(finishAt, ...placed.map((s) => s.toAt));
      break;
    }
  }
  return finishAt;
}

function stretchesAt(
  tasks: BenchJob['tasks'],
  setDownAt: number,
  free: (s: Stretch) => boolean
): Stretch[] | undefined {
  const placed: Stretch[] = [];
  for (const task of tasks) {
    const at = (s: number) => ({
      fromAt: setDownAt + s * 1000,
      toAt: setDownAt + (s + task.durationS) * 1000
    });
    let stretch = at(task.atS);
    if (stretch.fromAt < START) return undefined;
    for (let s = task.atS + 60; task.kind === 'read' && !free(stretch) && s <= task.toS; s += 60) {
      stretch = at(s);
    }
    const clash = placed.some((p) => stretch.fromAt < p.toAt && stretch.toAt > p.fromAt);
    if (!free(stretch) || clash) return undefined;
    placed.push(stretch);
  }
  return placed;
}

/** The planner over nights against greedy first fit on the same jars: when it is all over, and what it takes. */
export function benchTimetable(): void {
  for (const count of COUNTS) {
    const jobs = jars(count);
    const plan = () => planBench({ jobs, earliestAt: START, shut: NIGHTS });
    const planned = medianMs(() => void plan(), 5);
    const greedy = medianMs(() => void firstFit(jobs), 5);
    const { finishAt, boundAt } = plan();
    const hours = (at: number) => (at - START) / 3_600_000;
    report(
      `timetable of ${count} jars`,
      `over after ${hours(finishAt).toFixed(1)} h, in ${planned.toFixed(1)} ms`,
      `${(hours(finishAt) / hours(firstFit(jobs))).toFixed(2)} of the time by greedy first fit; no plan can be under ${(hours(boundAt) / hours(finishAt)).toFixed(2)} of ours; ${(planned / greedy).toFixed(1)} x the work of greedy (${greedy.toFixed(1)} ms)`
    );
  }
}
