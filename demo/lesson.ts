import { ulid } from 'ulid';
import { sheetTasks, trueTops, type SheetTask, type Task } from '../src/lib/core/index.ts';
import type { Store } from '../src/lib/server/db.ts';
import { answerTask, handIn, joinLesson } from '../src/lib/server/lessons/learners.ts';
import { lesson } from '../src/lib/server/schema.ts';
import { learners, sheet, type Habit } from './scenario/lesson.ts';

const MINUTE = 60_000;
type Answer = Parameters<typeof answerTask>[3];

function drilled(task: Task, has: (habit: Habit) => boolean): unknown {
  if (task.key === 'order') {
    const order = task.layers.map((layer) => layer.kind);
    return { order: has('upside-down') ? order.toReversed() : order };
  }
  if (task.key === 'base')
    return { mm: task.trueMm + (has('table-for-bottom') ? task.baseMm - task.zeroMm : 0) };
  if (task.key !== 'total') throw new Error(`The sheet of the demo has no ${task.key}.`);
  const thick = { sand: task.sandMm, silt: task.siltMm, clay: task.clayMm }[task.asked];
  return { pct: has('water-for-total') ? (100 * thick) / task.waterMm : task.truePct };
}

function worked(
  task: Extract<SheetTask, { kind: 'calculation' }>['task'],
  has: (habit: Habit) => boolean
): string {
  const { sandMm, siltMm, clayMm, organicsMm } = task;
  const parts = [sandMm, siltMm, clayMm, ...(has('organics-in') ? [organicsMm] : [])];
  const total = parts.reduce((sum, mm) => sum + mm, 0);
  const share = (name: string, mm: number) =>
    `${name} ${mm} / ${total} = ${((100 * mm) / total).toFixed(1)} %`;
  return [
    `${parts.join(' + ')} = ${total}`,
    share('sand', sandMm),
    share('silt', siltMm),
    share('clay', clayMm)
  ].join('\n');
}

function answerTo(task: SheetTask, one: (typeof learners)[number]): Answer {
  const has = (habit: Habit) => one.habits.includes(habit);
  if (task.kind === 'drill') return { kind: 'drill', given: drilled(task.task, has) };
  if (task.kind === 'calculation') return { kind: 'calculation', text: worked(task.task, has) };
  if (task.kind === 'jar' && task.picture) {
    const { sandMm, siltMm, clayMm } = trueTops(task.picture);
    const by = one.readsMm;
    return {
      kind: 'jar',
      tops: { sandMm: sandMm + by, siltMm: siltMm + by * 0.6, clayMm: clayMm + by * 0.3 }
    };
  }
  return { kind: 'test', text: 'N1: sand marked at 1 min, silt after 2 h. Loam, by height.' };
}

/** A lesson with six learners, by their numbers: some have handed in, some are on the way. */
export async function seedLesson(store: Store, now: number): Promise<void> {
  const began = now - 50 * MINUTE;
  await store.write((tx) => tx.insert(lesson).values({ id: ulid(began), ...sheet, createdAt: began }));
  const tasks = sheetTasks(sheet.items, sheet.seed);
  for (const [i, one] of learners.entries()) {
    let at = began + (3 + i) * MINUTE;
    const cookie = await joinLesson(store, sheet.code, one, at);
    for (const task of tasks.slice(0, one.tasks)) {
      at += 4 * MINUTE;
      await answerTask(store, cookie, task.no, answerTo(task, one), at);
    }
    if (one.handsIn) await handIn(store, cookie, at + MINUTE);
  }
}
