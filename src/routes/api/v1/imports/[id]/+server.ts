import { answering } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { importState, stopImport, undoImport } from '$lib/server/imports';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

/** How far an import is, or what stood in its way. */
export const GET: RequestHandler = ({ params }) =>
  answering(async () => importState(await store(), params.id));

/** Takes a table back: stopped while it is under way, its rows taken out again once it is in. */
export const DELETE: RequestHandler = ({ params, locals }) =>
  answering(async () => {
    if (stopImport(params.id)) return {};
    return undoImport(await store(), params.id, { who: locals.who, now: serverNow() });
  });
