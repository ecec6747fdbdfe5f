import { error } from '@sveltejs/kit';
import { reportHtml } from '$lib/formats/report-html';
import { serverNow } from '$lib/server/clock';
import { download } from '$lib/server/download';
import { reportOf } from '$lib/server/reports';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { RequestHandler } from './$types';

/** A report as one HTML file that opens anywhere, in the units and the time of who asks. */
export const GET: RequestHandler = async ({ params, locals }) => {
  const by = { profile: locals.profile, zone: locals.zone, now: serverNow() };
  const report = await reportOf(await store(), params.kind, params.id, by);
  if (!report) error(404, t.report.notThere);
  return download(reportHtml(report), 'text/html', `tivrel-${params.kind}-report.html`);
};
