import { tasksToIcs } from '$lib/formats/ics';
import { serverNow } from '$lib/server/clock';
import { download } from '$lib/server/download';
import { usualFigures } from '$lib/server/repositories/profiles';
import { trialsOf } from '$lib/server/repositories/trials';
import { remindersOf } from '$lib/server/repositories/reminders';
import { store } from '$lib/server/store';
import { tasksAhead, viewTrial } from '$lib/workbench/trials';
import { t } from '$lib/words';
import type { RequestHandler } from './$types';

/** Hands are wanted for so long, s. */
const HANDS_S = 600;

/** What is still to be done, as a calendar file. */
export const GET: RequestHandler = async () => {
  const { db } = await store();
  const reminders = await remindersOf(db);
  const by = await usualFigures(db);
  const now = serverNow();
  const views = (await trialsOf(db, { bench: true })).trials.map((one) => viewTrial(one, by, now));
  const tasks = reminders.map(({ id, name, kind, litres, dueAt }) => ({
    id,
    at: dueAt,
    durationS: HANDS_S,
    summary: litres === null ? name : `${name}: ${t.seasons.dueLitres(litres)}`,
    description: kind === 'test' ? t.seasons.taskWhy : ''
  }));
  const pieces = tasksAhead(views).map(({ trial, task }) => ({
    id: `${trial.id}-${task.key}`,
    at: task.dueAt,
    durationS: HANDS_S,
    summary: `${trial.code}: ${t.trial.short[task.kind]}`,
    description: t.trial.taskWhy(`${trial.sampleCode} ${trial.sampleName}`)
  }));
  return download(tasksToIcs([...tasks, ...pieces], now), 'text/calendar', 'tivrel-reminders.ics');
};
