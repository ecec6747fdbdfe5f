import { answering } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { config } from '$lib/server/config';
import { CommandProblem } from '$lib/server/problem';
import { takeUpArchive } from '$lib/server/restoring';
import { refusals } from '$lib/words/refusals';
import type { RequestHandler } from './$types';

/** Takes an archive up as the body of the request and looks through it: what it holds, and the id by which it is put back. */
export const POST: RequestHandler = ({ request, url }) =>
  answering(async () => {
    if (!request.body || !request.headers.get('content-type')) {
      throw new CommandProblem(refusals.copies.sendArchive, { file: refusals.copies.sendArchive }, 400);
    }
    const name = (url.searchParams.get('name') ?? 'archive').replaceAll(/\p{C}/gu, '').slice(0, 80);
    return takeUpArchive(request.body, name, { root: config().root, now: serverNow() });
  }, 201);
