import { error } from '@sveltejs/kit';
import { reportBody } from '$lib/formats/report-html';
import { serverNow } from '$lib/server/clock';
import { reportOf } from '$lib/server/reports';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals, depends }) => {
  depends('tivrel:data');
  const by = { profile: locals.profile, zone: locals.zone, now: serverNow() };
  const report = await reportOf(await store(), params.kind, params.id, by);
  if (!report) error(404, t.report.notThere);
  return { title: report.title, body: reportBody(report) };
};
