import { benchTasks, tasksLeft, type BenchJob } from '../core/index.ts';
import { runFacts, type JarView } from './jars.ts';

/**
 * A jar as the timetable sees it: one that stands keeps its set-down and what of its work still lies ahead, one that
 * does not is free, or pinned to a set-down that was chosen.
 */
export function jobOf({ jar, method, run }: JarView, now: number, pinnedAt?: number): BenchJob {
  const facts = { ...runFacts(jar).facts, hasReading: jar.hasReading };
  const tasks = tasksLeft(benchTasks(method, jar.tempC), facts, now);
  return { id: jar.id, tasks, setDownAt: run?.setDownAt ?? pinnedAt };
}
