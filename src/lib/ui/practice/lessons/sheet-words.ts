import type { Score, SheetItem, SheetTask } from '$lib/core';
import { t } from '$lib/words';

/** An item of a sheet in words. */
export function itemWords(item: SheetItem): string {
  const w = t.lessons.line;
  if (item.kind === 'drill') return w.drill(t.drills.names[item.key], item.level, item.count);
  if (item.kind === 'calculation') return w.calculation(item.level);
  return item.kind === 'jar' ? w.jar(item.code) : w.test(item.what);
}

/** What a task of a sheet is called. */
export function taskName(task: SheetTask): string {
  if (task.kind === 'drill') return t.drills.names[task.task.key];
  if (task.kind === 'jar') return t.lessons.line.jar(task.code);
  return task.kind === 'test' ? t.lessons.kinds.test : t.lessons.kinds.calculation;
}

/** Why an answer is not worth all points: what slipped, or how far off it was; that it is right where it is. */
export function scoreWords({ slip, off, points }: Score): string {
  if (slip) return t.drills.slips[slip];
  return points === 100 ? t.drills.grades.done : t.drills.off[off.unit](off.by);
}
