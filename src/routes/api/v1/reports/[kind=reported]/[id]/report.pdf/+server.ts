import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { PAPERS } from '$lib/formats/work-pdf';
import { serverNow } from '$lib/server/clock';
import { pdfAnswer } from '$lib/server/pdf';
import { reportOf } from '$lib/server/reports';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import { refusals } from '$lib/words/refusals';
import type { RequestHandler } from './$types';

const query = z.object({
  paper: z.enum(PAPERS, { error: refusals.api.choosePaper(PAPERS.join(' or ')) }).default('A4')
});

/** A report as a PDF, in the units and the time of who asks. */
export const GET: RequestHandler = async ({ params, url, request, locals }) => {
  const asked = query.safeParse(Object.fromEntries(url.searchParams));
  if (!asked.success) error(400, asked.error.issues[0].message);
  const by = { profile: locals.profile, zone: locals.zone, now: serverNow() };
  const report = await reportOf(await store(), params.kind, params.id, by);
  if (!report) error(404, t.report.notThere);
  return pdfAnswer({ kind: 'report', report, paper: asked.data.paper }, 'tivrel-report.pdf', {
    signal: request.signal
  });
};
