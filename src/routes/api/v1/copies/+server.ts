import { answering } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { config } from '$lib/server/config';
import { requireCopies } from '$lib/server/copies';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

/** Makes a copy of the record now, and looks through it. */
export const POST: RequestHandler = () =>
  answering(async () => requireCopies((await store()).file, config().root).make(serverNow()), 201);
