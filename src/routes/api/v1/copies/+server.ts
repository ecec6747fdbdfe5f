import { json } from '@sveltejs/kit';
import { serverNow } from '$lib/server/clock';
import { config } from '$lib/server/config';
import { requireCopies } from '$lib/server/copies';
import { CommandProblem } from '$lib/server/problem';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

/** Makes a copy of the record now, and looks through it. */
export const POST: RequestHandler = async () => {
  try {
    const copies = requireCopies((await store()).file, config().root);
    return json(await copies.make(serverNow()), { status: 201 });
  } catch (problem) {
    if (!(problem instanceof CommandProblem)) throw problem;
    return json({ message: problem.message, fields: problem.fields }, { status: problem.status });
  }
};
