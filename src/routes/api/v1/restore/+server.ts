import { z } from 'zod';
import { answering, jsonOf } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { config } from '$lib/server/config';
import { requireCopies } from '$lib/server/copies';
import { CommandProblem } from '$lib/server/problem';
import { takeUpCopy } from '$lib/server/restoring';
import { store } from '$lib/server/store';
import { refusals } from '$lib/words/refusals';
import type { RequestHandler } from './$types';

const asked = z.object({ copy: z.string().max(80) });

/** Takes up a copy that was kept, by its name, to be put back. */
export const POST: RequestHandler = ({ request }) =>
  answering(async () => {
    const body = asked.safeParse(await jsonOf(request));
    if (!body.success) throw new CommandProblem(refusals.copies.gone, {}, 400);
    const { root } = config();
    return takeUpCopy(requireCopies((await store()).file, root), body.data.copy, { root, now: serverNow() });
  }, 201);
