import { benchTasks, methodByKey, planBench, type BenchJob, type ShutHours } from '../src/lib/core/index.ts';
import { medianMs, report } from './measure.ts';

const START = Date.UTC(2026, 4, 4, 8);
const KEYS = ['jar-timed', 'jar-half-hour', 'jar-builder', 'jar-bands'];
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

/** A timetable of forty jars over nights, against planning each of the forty alone. */
export function benchTimetable(): void {
  const jobs = jars(40);
  const whole = medianMs(() => void planBench({ jobs, earliestAt: START, shut: NIGHTS }), 9);
  const alone = medianMs(() => {
    for (const job of jobs) planBench({ jobs: [job], earliestAt: START, shut: NIGHTS });
  }, 9);
  report(
    'timetable of 40 jars',
    `${whole.toFixed(0)} ms`,
    `${(whole / alone).toFixed(1)} x planning each alone (${alone.toFixed(1)} ms)`
  );
}
