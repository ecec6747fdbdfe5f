import { json } from '@sveltejs/kit';
import type { z } from 'zod';
import { refusals } from '../words/refusals.ts';
import { CommandProblem, fieldsProblem } from './problem.ts';

/** Answers as JSON, or with what stood in the way: a sentence, and one beside each field. */
export async function answering(work: () => Promise<unknown>, status = 200): Promise<Response> {
  try {
    return json(await work(), { status });
  } catch (problem) {
    if (!(problem instanceof CommandProblem)) throw problem;
    return json({ message: problem.message, fields: problem.fields }, { status: problem.status });
  }
}

/** What a request brings, as a schema has it. @throws {CommandProblem} with a sentence beside each field */
export async function bodyOf<T extends z.ZodType>(request: Request, schema: T): Promise<z.output<T>> {
  const body: unknown = await request.json().catch(() => {
    throw new CommandProblem(refusals.api.bodyNotJson, {}, 400);
  });
  const read = schema.safeParse(body);
  if (!read.success) throw fieldsProblem(read.error.issues);
  return read.data;
}
