import { tasksToIcs } from '$lib/formats/ics';
import { serverNow } from '$lib/server/clock';
import { download } from '$lib/server/download';
import { remindersOf } from '$lib/server/repositories/reminders';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { RequestHandler } from './$types';

/** Hands are wanted for so long, s. */
const HANDS_S = 600;

/** What is still to be done, as a calendar file. */
export const GET: RequestHandler = async () => {
  const reminders = await remindersOf((await store()).db);
  const tasks = reminders.map(({ id, name, kind, litres, dueAt }) => ({
    id,
    at: dueAt,
    durationS: HANDS_S,
    summary: litres === null ? name : `${name}: ${t.seasons.dueLitres(litres)}`,
    description: kind === 'test' ? t.seasons.taskWhy : ''
  }));
  return download(tasksToIcs(tasks, serverNow()), 'text/calendar', 'tivrel-reminders.ics');
};
