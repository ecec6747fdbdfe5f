import { answering } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { keepPhoto, UPLOAD_MOST } from '$lib/server/photos';
import { CommandProblem } from '$lib/server/problem';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';
import { refusals } from '$lib/words/refusals';

/** Takes a picture as the body of the request and keeps it, re-encoded; a command then says what it shows. */
export const POST: RequestHandler = ({ request }) =>
  answering(async () => {
    if (Number(request.headers.get('content-length') ?? 0) > UPLOAD_MOST) {
      throw new CommandProblem(refusals.common.pictureTooLarge(UPLOAD_MOST / 1e6));
    }
    // The server's adapter reads no body that does not say what it is.
    if (!request.headers.get('content-type')) {
      throw new CommandProblem(refusals.api.sendPictureContentType);
    }
    return keepPhoto(await store(), Buffer.from(await request.arrayBuffer()), serverNow());
  }, 201);
