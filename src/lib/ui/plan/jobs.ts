import { benchTasks, type BenchJob } from '$lib/core';
import type { JarView } from '../jar/view';

/**
 * A jar as the timetable sees it: one that stands keeps its set-down and what of its work still lies ahead, one that
 * does not is free, or pinned to a set-down that was chosen.
 */
export function jobOf({ jar, method, run }: JarView, now: number, pinnedAt?: number): BenchJob {
  const tasks = benchTasks(method, jar.tempC);
  if (!run) return { id: jar.id, tasks, setDownAt: pinnedAt };
  const marked = new Set<string>(run.marks.map((m) => m.layer));
  const left = tasks.filter(
    (task) =>
      task.atS > 0 &&
      !(task.layer && marked.has(task.layer)) &&
      !(task.kind === 'read' && jar.hasReading) &&
      run.setDownAt + task.toS * 1000 >= now
  );
  return { id: jar.id, tasks: left, setDownAt: run.setDownAt };
}
