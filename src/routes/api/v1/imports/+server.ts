import { answering } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { beginImport } from '$lib/server/imports';
import { CommandProblem } from '$lib/server/problem';
import { importsOf } from '$lib/server/repositories/imports';
import { store } from '$lib/server/store';
import { tableOf } from '$lib/server/table-form';
import { id } from '$lib/contract/commands/values';
import { refusals } from '$lib/words/refusals';
import type { RequestHandler } from './$types';

/** Tables that were taken in, the latest first. */
export const GET: RequestHandler = () => answering(async () => importsOf((await store()).db));

/** Begins to take in the rows of a table that can be. How far it is, its own address tells. */
export const POST: RequestHandler = ({ request, locals }) =>
  answering(async () => {
    const { form, file, name } = await tableOf(request, { usual: locals.profile.length, now: serverNow() });
    const importId = id.safeParse(form.get('importId'));
    if (!importId.success) throw new CommandProblem(refusals.common.idNotRightForm, {}, 400);
    const { record } = await beginImport(await store(), file, { id: importId.data, name, who: locals.who });
    return record;
  }, 202);
