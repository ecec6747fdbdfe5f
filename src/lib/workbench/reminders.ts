import type { ReminderRecord } from '../contract/records/reminder.ts';
import type { Call } from './calls.ts';

const DAY_MS = 86_400_000;
/** The bench looks so far ahead, h: on its ribbon, and for what is to be done beside the jars. */
export const LOOKS_AHEAD_H = 18;

/** Reminders that are due, or will be within the hours that the bench looks ahead. */
export const remindersNear = (reminders: readonly ReminderRecord[], now: number): ReminderRecord[] =>
  reminders.filter(({ dueAt }) => dueAt - now <= LOOKS_AHEAD_H * 3_600_000);

/** Reminders as they call. */
export const callsOfReminders = (reminders: readonly ReminderRecord[]): Call[] =>
  reminders.map(({ id, kind, areaId, name, dueAt }) => ({
    key: `${id}:${dueAt}`,
    path: kind === 'test' && areaId ? `/act/seasons/${areaId}` : '/',
    dueAt,
    line: name
  }));

/** When an area is tested again, days on: half a year, a year, two. */
const AGAIN_DAYS = { half: 183, year: 365, two: 730 };
export type TestAgain = keyof typeof AGAIN_DAYS;
export const AGAIN = Object.keys(AGAIN_DAYS) as TestAgain[];

/** The moment at which an area is to be tested again, ms UTC. */
export const testAgainAt = (now: number, wait: TestAgain): number => now + AGAIN_DAYS[wait] * DAY_MS;

/** A wait in days as a reminder keeps it, ms. */
export const everyDays = (days: number): number => Math.round(days * DAY_MS);
