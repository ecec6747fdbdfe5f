import { json } from '@sveltejs/kit';
import { RangeProblem, wateringPlan } from '$lib/core';
import { wateringQuery } from '$lib/contract/act';
import { tasksToIcs } from '$lib/formats/ics';
import { serverNow } from '$lib/server/clock';
import { download } from '$lib/server/download';
import { wateringTimes } from '$lib/workbench/act';
import { t } from '$lib/words';
import { refusals } from '$lib/words/refusals';
import type { RequestHandler } from './$types';

/** Hands are wanted at the tap for so long, s. */
const AT_THE_TAP_S = 600;

/** The waterings of a bed as a calendar file. */
export const GET: RequestHandler = ({ url }) => {
  const asked = wateringQuery.safeParse(Object.fromEntries(url.searchParams));
  if (!asked.success) {
    const fields = Object.fromEntries(asked.error.issues.map((i) => [i.path.join('.'), i.message]));
    return json({ message: refusals.api.someValuesNeedAnother, fields }, { status: 422 });
  }
  const { from, times } = asked.data;
  try {
    const plan = wateringPlan(asked.data);
    const tasks = wateringTimes(from, times, { ...asked.data, doseMm: plan.doseMm }).map((at, i) => ({
      id: `watering-${from}-${i}`,
      at,
      durationS: AT_THE_TAP_S,
      summary: t.act.water.task(Math.round(plan.litres)),
      description: t.act.water.taskWhy(plan.doseMm.toFixed(0))
    }));
    return download(tasksToIcs(tasks, serverNow()), 'text/calendar', 'tivrel-watering.ics');
  } catch (problem) {
    if (!(problem instanceof RangeProblem)) throw problem;
    return json({ message: problem.message, fields: { [problem.field]: problem.message } }, { status: 422 });
  }
};
