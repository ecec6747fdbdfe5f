import { t } from '../words/index.ts';
import { classGuesses, guesses, type Guesses } from './door.ts';
import { CommandProblem } from './problem.ts';

/** What is answered to a code that is none. */
const NO_SUCH_CODE = 404;

/**
 * Does what depends on a code that somebody gave. A guess is counted before it is looked at, and given back where the code was right,
 * though something else stood in the way.
 *
 * @param from the address it comes from
 * @throws {CommandProblem} where there were too many (429), and whatever the work throws for a wrong one
 */
export async function guessed<T>(from: string, work: () => Promise<T>, tries: Guesses = guesses): Promise<T> {
  const waitS = await tries.count(from);
  if (waitS !== undefined) {
    const message = t.enter.wait(waitS);
    throw new CommandProblem(message, { code: message }, 429, waitS);
  }
  let wrong = false;
  try {
    return await work();
  } catch (problem) {
    wrong = problem instanceof CommandProblem && problem.status === NO_SUCH_CODE;
    throw problem;
  } finally {
    if (!wrong) await tries.right(from);
  }
}

const ofClasses = classGuesses();

/** The same with the code of a lesson: from one address comes a whole class. */
export const guessedByClass = <T>(
  from: string,
  work: () => Promise<T>,
  tries: Guesses = ofClasses
): Promise<T> => guessed(from, work, tries);
