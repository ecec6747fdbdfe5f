import type { ReminderRecord } from '../contract/records/judgement.ts';
import type { Call } from './calls.ts';

/** What is to be done shows this long ahead, ms. */
const AHEAD_MS = 18 * 3_600_000;

/** Reminders that are due, or will be within the hours that the bench looks ahead. */
export const remindersNear = (reminders: readonly ReminderRecord[], now: number): ReminderRecord[] =>
  reminders.filter(({ dueAt }) => dueAt - now <= AHEAD_MS);

/** Reminders as they call. */
export const callsOfReminders = (reminders: readonly ReminderRecord[]): Call[] =>
  reminders.map(({ id, kind, areaId, name, dueAt }) => ({
    key: `${id}:${dueAt}`,
    path: kind === 'test' && areaId ? `/act/seasons/${areaId}` : '/',
    dueAt,
    line: name
  }));
