import { expect } from 'chai';
import { CommandProblem } from '../../../src/lib/server/problem.ts';

/** Awaits a refusal and gives it back. */
export async function refusal(doing: Promise<unknown>): Promise<CommandProblem> {
  try {
    await doing;
  } catch (problem) {
    expect(problem).to.be.instanceOf(CommandProblem);
    return problem as CommandProblem;
  }
  throw new Error('It was taken, but should have been refused.');
}
