import { fail, type ActionFailure } from '@sveltejs/kit';
import { CommandProblem, databaseProblem } from './problem.ts';

/** What a form got wrong: a sentence beside each field, '' for the whole; and what was typed, but for passphrases. */
export type FormProblem = { errors: Record<string, string>; typed: Record<string, string> };

/** The texts of a form that was sent. */
export async function textsOf(request: Request): Promise<Record<string, string>> {
  const form = await request.formData().catch(() => new FormData());
  return Object.fromEntries([...form].map(([name, value]) => [name, String(value).slice(0, 1000)]));
}

const SECRET = ['passphrase', 'now', 'next'];

/** Does what a form asks; what is refused stands beside its field, and nothing that was typed is lost. */
export async function asked<T>(
  texts: Record<string, string>,
  work: () => Promise<T>
): Promise<T | ActionFailure<FormProblem>> {
  try {
    return await work();
  } catch (problem) {
    const said = databaseProblem(problem) ?? problem;
    if (!(said instanceof CommandProblem)) throw problem;
    const { fields, message, status } = said;
    const typed = Object.fromEntries(Object.entries(texts).filter(([name]) => !SECRET.includes(name)));
    return fail(status, { errors: Object.keys(fields).length > 0 ? fields : { '': message }, typed });
  }
}
