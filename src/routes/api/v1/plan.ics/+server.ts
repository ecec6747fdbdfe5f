import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { planBench, known } from '$lib/core';
import { tasksToIcs } from '$lib/formats/ics';
import { serverNow } from '$lib/server/clock';
import { download } from '$lib/server/download';
import { benchShelf } from '$lib/server/repositories/tests';
import { store } from '$lib/server/store';
import { viewShelf } from '$lib/workbench/jars';
import { quietOf, shutHours } from '$lib/workbench/hours';
import { jobOf } from '$lib/workbench/jobs';
import { t } from '$lib/words';
import type { RequestHandler } from './$types';
import { refusals } from '$lib/words/refusals';

const minutes = z.coerce.number().int().min(0).max(1439);
const query = z.object({ homeFrom: minutes.optional(), homeTo: minutes.optional() });

/** Days of quiet hours that a plan is laid over. */
const DAYS = 9;
const MINUTE = 60_000;

/**
 * What lies ahead on the bench, planned or running, as a calendar file: at the times of the plan, which moves tasks
 * within their windows so that hands are wanted once at a time and not at night.
 */
export const GET: RequestHandler = async ({ url, locals }) => {
  const asked = query.safeParse(Object.fromEntries(url.searchParams));
  if (!asked.success) error(400, refusals.api.hoursHomeMinutesAfter);
  const { homeFrom, homeTo } = asked.data;
  const now = serverNow();
  const minute = Math.floor(now / MINUTE) * MINUTE;
  const { jars: shelf } = await (await store()).shared('bench', benchShelf);
  const views = viewShelf(shelf, now).filter((v) => v.run || v.jar.plannedAt !== null);
  const home = homeFrom === undefined || homeTo === undefined ? undefined : { from: homeFrom, to: homeTo };
  const shut = shutHours({ quiet: quietOf(locals.profile), home }, locals.zone, minute, DAYS);
  const plan = planBench({
    jobs: views.map((v) => jobOf(v, minute, v.jar.plannedAt ?? undefined)),
    earliestAt: minute,
    shut
  });
  const jars = new Map(views.map((v) => [v.jar.id, v.jar]));
  const tasks = plan.tasks
    .filter((task) => task.startAt >= now)
    .map((task) => {
      const jar = known(jars.get(task.jobId), 'the plan is of these jars');
      return {
        id: `${jar.id}-${task.kind}-${task.layer ?? Math.round((task.askedAt - plan.setDownAt[jar.id]) / 1000)}`,
        at: task.startAt,
        durationS: (task.endAt - task.startAt) / 1000,
        summary: `${jar.code}: ${t.timetable.task(task.kind, task.layer && t.layer[task.layer])}`,
        description: jar.sample.name
      };
    });
  return download(tasksToIcs(tasks, now), 'text/calendar', 'tivrel-plan.ics');
};
