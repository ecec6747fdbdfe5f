import { json } from '@sveltejs/kit';
import { serverNow } from '$lib/server/clock';
import { keepPhoto, UPLOAD_MOST } from '$lib/server/photos';
import { CommandProblem } from '$lib/server/problem';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';
import { refusals } from '$lib/words/refusals';

/** Takes a picture as the body of the request and keeps it, re-encoded; a command then says what it shows. */
export const POST: RequestHandler = async ({ request }) => {
  try {
    if (Number(request.headers.get('content-length') ?? 0) > UPLOAD_MOST) {
      throw new CommandProblem(refusals.common.pictureTooLarge(UPLOAD_MOST / 1e6));
    }
    // The server's adapter reads no body that does not say what it is.
    if (!request.headers.get('content-type')) {
      throw new CommandProblem(refusals.api.sendPictureContentType);
    }
    const bytes = Buffer.from(await request.arrayBuffer());
    return json(await keepPhoto(await store(), bytes, serverNow()), { status: 201 });
  } catch (problem) {
    if (problem instanceof CommandProblem) {
      return json({ message: problem.message, fields: problem.fields }, { status: problem.status });
    }
    throw problem;
  }
};
