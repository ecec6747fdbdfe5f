import { outcomeOf, type RangeProblem } from '../../../src/lib/core/index.ts';

/** What the core refuses, which has to be refused. */
export function refused(work: () => unknown): RangeProblem {
  const { problem } = outcomeOf(work);
  if (!problem) throw new Error('It was taken.');
  return problem;
}

/** The field that the core refuses; `none` where it takes all. */
export const fieldOf = (work: () => unknown): string => outcomeOf(work).problem?.field ?? 'none';
