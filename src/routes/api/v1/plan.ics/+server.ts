import { benchTasks, methodByKey } from '$lib/core';
import { tasksToIcs } from '$lib/formats/ics';
import { serverNow } from '$lib/server/clock';
import { download } from '$lib/server/download';
import { benchJars } from '$lib/server/repositories/tests';
import { store } from '$lib/server/store';
import { t } from '$lib/ui/strings';
import type { RequestHandler } from './$types';

/** What lies ahead on the bench, planned or running, as a calendar file. */
export const GET: RequestHandler = async () => {
  const now = serverNow();
  const jars = await (await store()).shared('bench', benchJars);
  const tasks = jars.flatMap((jar) => {
    const setDownAt = jar.run?.setDownAt ?? jar.plannedAt;
    if (setDownAt === null || setDownAt === undefined) return [];
    return benchTasks(methodByKey(jar.methodKey), jar.tempC).map((task) => ({
      id: `${jar.id}-${task.kind}-${task.layer ?? Math.round(task.atS)}`,
      at: setDownAt + Math.round(task.atS * 1000),
      durationS: task.durationS,
      summary: `${jar.code}: ${t.timetable.task(task.kind, task.layer && t.layer[task.layer])}`,
      description: jar.sample.name
    }));
  });
  return download(
    tasksToIcs(
      tasks.filter((task) => task.at >= now),
      now
    ),
    'text/calendar',
    'tivrel-plan.ics'
  );
};
