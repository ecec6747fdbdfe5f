import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { PAPERS } from '$lib/formats/work-pdf';
import { allBlanks } from '$lib/server/repositories/blanks';
import { pdfAnswer } from '$lib/server/pdf';
import { shownTest } from '$lib/server/shown';
import { store } from '$lib/server/store';
import { formatFor } from '$lib/words/format';
import { t } from '$lib/words';
import { workSheet } from '$lib/workbench/working/sheet';
import type { RequestHandler } from './$types';
import { refusals } from '$lib/words/refusals';

const query = z.object({
  paper: z.enum(PAPERS, { error: refusals.api.choosePaper(PAPERS.join(' or ')) }).default('A4')
});

/** The working of a test as a PDF, in the units and the time of who asks. */
export const GET: RequestHandler = async ({ params, url, request, locals }) => {
  const asked = query.safeParse(Object.fromEntries(url.searchParams));
  if (!asked.success) error(400, asked.error.issues[0].message);
  const { db } = await store();
  const test = await shownTest(db, params.id);
  if (!test) error(404, t.test.notFound);
  const sheet = workSheet(test, await allBlanks(db), formatFor(locals.profile, locals.zone));
  if (!sheet) error(409, t.work.none);
  const { paper } = asked.data;
  return pdfAnswer({ kind: 'work', sheet, paper }, `tivrel-${test.code}-working.pdf`, {
    signal: request.signal
  });
};
