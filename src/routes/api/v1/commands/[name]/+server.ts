import { isCommandName } from '$lib/contract/commands';
import { answering, jsonOf } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { runCommand } from '$lib/server/commands';
import { CommandProblem } from '$lib/server/problem';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';
import { refusals } from '$lib/words/refusals';

/** Does a command. */
export const POST: RequestHandler = ({ params: { name }, request, locals }) =>
  answering(async () => {
    if (!isCommandName(name)) throw new CommandProblem(refusals.api.noSuchCommand(name), {}, 404);
    return runCommand(await store(), name, await jsonOf(request), locals.who, serverNow());
  });
