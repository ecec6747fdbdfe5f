import { json } from '@sveltejs/kit';
import { CommandProblem } from './problem.ts';

/** Answers as JSON, or with what stood in the way: a sentence, and one beside each field. */
export async function answering(work: () => Promise<unknown>, status = 200): Promise<Response> {
  try {
    return json(await work(), { status });
  } catch (problem) {
    if (!(problem instanceof CommandProblem)) throw problem;
    return json({ message: problem.message, fields: problem.fields }, { status: problem.status });
  }
}
