import { eq } from 'drizzle-orm';
import { refusals } from '../../words/refusals.ts';
import { dueAgain } from '../../workbench/act.ts';
import type { Reader } from '../db.ts';
import { added, changed } from '../events.ts';
import { CommandProblem, found } from '../problem.ts';
import { area, reminder } from '../schema.ts';
import type { Service, Services } from './service.ts';

const addReminder: Service<'reminder.add'> = async ({ db, at }, { reminderId, ...fields }) => {
  if (fields.areaId !== null)
    found((await db.select().from(area).where(eq(area.id, fields.areaId)))[0], 'This area');
  if (fields.dueAt <= at)
    throw new CommandProblem(refusals.judgements.dayGone, { dueAt: refusals.judgements.dayGone });
  return {
    testId: null,
    detail: { name: fields.name },
    changes: [added('reminder', { id: reminderId, ...fields, endedAt: null, createdAt: at })]
  };
};

async function openReminder(db: Reader, id: string) {
  const [row] = await db.select().from(reminder).where(eq(reminder.id, id));
  return found(row?.endedAt === null ? row : undefined, 'This reminder');
}

/** It is done: the next time comes after its interval, from when it was done, at the hour of before; what is once is over. */
const doneReminder: Service<'reminder.done'> = async ({ db, at }, { reminderId }) => {
  const row = await openReminder(db, reminderId);
  const next = row.everyMs === null ? { endedAt: at } : { dueAt: dueAgain(row.dueAt, at, row.everyMs) };
  return { testId: null, detail: { name: row.name }, changes: [changed('reminder', row, next)] };
};

const endReminder: Service<'reminder.end'> = async ({ db, at }, { reminderId }) => {
  const row = await openReminder(db, reminderId);
  return { testId: null, detail: { name: row.name }, changes: [changed('reminder', row, { endedAt: at })] };
};

export const reminderServices = {
  'reminder.add': addReminder,
  'reminder.done': doneReminder,
  'reminder.end': endReminder
} satisfies Partial<Services>;
