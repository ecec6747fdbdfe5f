import { json } from '@sveltejs/kit';
import type { z } from 'zod';
import { refusals } from '../words/refusals.ts';
import { CommandProblem, databaseProblem, fieldsProblem } from './problem.ts';
import { MeanwhileProblem } from './seen.ts';

/** Answers as JSON, or with what stood in the way: a sentence, and one beside each field. */
export async function answering(work: () => Promise<unknown>, status = 200): Promise<Response> {
  try {
    return json(await work(), { status });
  } catch (problem) {
    const said = databaseProblem(problem) ?? problem;
    if (!(said instanceof CommandProblem)) throw problem;
    const { message, fields, retryS } = said;
    const meanwhile = said instanceof MeanwhileProblem ? { meanwhile: said.meanwhile } : {};
    const headers: HeadersInit = retryS === undefined ? {} : { 'retry-after': String(retryS) };
    return json({ message, fields, ...meanwhile }, { status: said.status, headers });
  }
}

/** How deep and how much JSON may be before it is read. */
export const JSON_MOST = { depth: 40, values: 500_000 };

/** Whether a text of JSON is nested deeper, or holds more, than is read; told without reading it. */
export function isTooMuch(text: string, most = JSON_MOST): boolean {
  let depth = 0;
  let values = 0;
  let quoted = false;
  for (let i = 0; i < text.length; i++) {
    const letter = text[i];
    if (letter === '\\') i++;
    else if (letter === '"') quoted = !quoted;
    else if (quoted) continue;
    else if (letter === '{' || letter === '[') depth++;
    else if (letter === '}' || letter === ']') depth--;
    else if (letter === ',') values++;
    if (depth > most.depth || values > most.values) return true;
  }
  return false;
}

/**
 * The JSON that a request brings. How many bytes it may bring, the route says.
 * @throws {CommandProblem} where it is none, or nested too deep
 */
export async function jsonOf(request: Request): Promise<unknown> {
  const text = await request.text();
  if (isTooMuch(text)) throw new CommandProblem(refusals.api.tooMuchJson, {}, 413);
  try {
    return JSON.parse(text);
  } catch {
    throw new CommandProblem(refusals.api.bodyNotJson, {}, 400);
  }
}

/** What a request brings, as a schema has it. @throws {CommandProblem} with a sentence beside each field */
export async function bodyOf<T extends z.ZodType>(request: Request, schema: T): Promise<z.output<T>> {
  const read = schema.safeParse(await jsonOf(request));
  if (!read.success) throw fieldsProblem(read.error.issues);
  return read.data;
}
