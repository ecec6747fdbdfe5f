import { answering } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { lookAtTable } from '$lib/server/imports';
import { store } from '$lib/server/store';
import { tableOf } from '$lib/server/table-form';
import type { RequestHandler } from './$types';

/** Looks through a table without taking anything in: what its columns are, and each row that stands in the way. */
export const POST: RequestHandler = ({ request, locals }) =>
  answering(async () => {
    const { file } = await tableOf(request, { usual: locals.profile.length, now: serverNow() });
    return lookAtTable(await store(), file);
  });
