import { answering } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { config } from '$lib/server/config';
import { copiesOf } from '$lib/server/copies';
import { watched } from '$lib/server/progress';
import { letGo, restoreWaiting } from '$lib/server/restoring';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

/** Puts what was taken up in the place of the bench, after a copy of what is there. How far it is, `/progress/ID` tells. */
export const POST: RequestHandler = ({ params, locals }) =>
  answering(async () => {
    const opened = await store();
    const copies = copiesOf(opened.file, config().root);
    await watched(params.id, (told) =>
      restoreWaiting(opened, params.id, { copies, who: locals.who, now: serverNow(), told })
    );
    return {};
  });

/** Lets go of what was taken up; the bench stays as it is. */
export const DELETE: RequestHandler = ({ params }) =>
  answering(async () => {
    letGo(params.id);
    return {};
  });
