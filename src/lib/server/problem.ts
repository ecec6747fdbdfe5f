import { RangeProblem } from '../core/index.ts';

/** A command that cannot be done, with a sentence for the whole and one beside each field. */
export class CommandProblem extends Error {
  readonly status: number;
  readonly fields: Record<string, string>;

  constructor(message: string, fields: Record<string, string> = {}, status = 422) {
    super(message);
    this.name = 'CommandProblem';
    this.fields = fields;
    this.status = status;
  }
}

/**
 * A change to a test that is finished. Where the press had waited on a device it is kept as a note with its time: nobody
 * there could know.
 */
export class FinishedProblem extends CommandProblem {
  readonly test: { id: string; code: string; finishedAt: number | null };

  constructor(test: FinishedProblem['test']) {
    super(`${test.code} is finished. Open it again before changing it.`, {}, 409);
    this.name = 'FinishedProblem';
    this.test = test;
  }
}

/** Throws with status 404 when something is not there. */
export function found<T>(row: T | undefined, what: string): T {
  if (row === undefined) throw new CommandProblem(`${what} is not here. It may have been removed.`, {}, 404);
  return row;
}

/** Lets the core check or work something out; what it refuses stands beside its field. */
export function ranged<T>(work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof RangeProblem)
      throw new CommandProblem(error.message, { [error.field]: error.message });
    throw error;
  }
}
