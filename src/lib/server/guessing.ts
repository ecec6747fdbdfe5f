import { t } from '../words/index.ts';
import { guesses, type Guesses } from './door.ts';
import { CommandProblem } from './problem.ts';

/**
 * Does what depends on a code that somebody gave. A guess is counted before it is looked at, and given back where it was right.
 *
 * @param from the address it comes from
 * @throws {CommandProblem} where there were too many (429), and whatever the work throws for a wrong one
 */
export async function guessed<T>(from: string, work: () => Promise<T>, tries: Guesses = guesses): Promise<T> {
  const waitS = await tries.count(from);
  if (waitS !== undefined)
    throw new CommandProblem(t.enter.wait(waitS), { code: t.enter.wait(waitS) }, 429, waitS);
  const done = await work();
  await tries.right(from);
  return done;
}
