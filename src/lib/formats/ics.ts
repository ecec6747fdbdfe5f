import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';

/** Something in a calendar: when hands are wanted, and for what. Times in ms UTC. */
export type CalendarTask = {
  id: string;
  at: number;
  durationS: number;
  summary: string;
  description: string;
};

/** Warned this long before, s. */
const ALARM_BEFORE_S = 120;

/** Hands-on tasks as an iCalendar file (RFC 5545), each with an alarm; times in UTC. @param now ms UTC, its stamp */
export function tasksToIcs(tasks: readonly CalendarTask[], now: number): string {
  const calendar = ical({
    name: 'Tivrel',
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'Tivrel', product: 'bench' }
  });
  for (const task of tasks) {
    calendar
      .createEvent({
        id: task.id,
        stamp: new Date(now),
        start: new Date(task.at),
        end: new Date(task.at + Math.max(60, task.durationS) * 1000),
        summary: task.summary,
        description: task.description
      })
      .createAlarm({ type: ICalAlarmType.display, triggerBefore: ALARM_BEFORE_S, description: task.summary });
  }
  return calendar.toString();
}
