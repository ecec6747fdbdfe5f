import { json } from '@sveltejs/kit';
import { isCommandName, type CommandFailure } from '$lib/contract/commands';
import { serverNow } from '$lib/server/clock';
import { runCommand } from '$lib/server/commands';
import { CommandProblem } from '$lib/server/problem';
import { MeanwhileProblem } from '$lib/server/seen';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';
import { refusals } from '$lib/words/refusals';

function refuse(status: number, failure: CommandFailure): Response {
  return json(failure, { status });
}

/** Longest command, letters: an import of a whole site is well below it. */
const COMMAND_MOST = 2_000_000;

export const POST: RequestHandler = async ({ params, request, locals }) => {
  if (!isCommandName(params.name)) {
    return refuse(404, { message: refusals.api.noSuchCommand(params.name), fields: {} });
  }
  let body: unknown;
  try {
    const text = await request.text();
    if (text.length > COMMAND_MOST) {
      return refuse(413, { message: refusals.api.tooMuchCommand, fields: {} });
    }
    body = JSON.parse(text);
  } catch {
    return refuse(400, { message: refusals.api.bodyNotJson, fields: {} });
  }
  try {
    return json(await runCommand(await store(), params.name, body, locals.who, serverNow()));
  } catch (problem) {
    if (problem instanceof CommandProblem) {
      const { message, fields, status } = problem;
      const meanwhile = problem instanceof MeanwhileProblem ? { meanwhile: problem.meanwhile } : {};
      return refuse(status, { message, fields, ...meanwhile });
    }
    throw problem;
  }
};
