import { answerOf, estimateJar, RangeProblem, type EstimateInput, type JarAnswer } from '../../core/index.ts';
import { answering } from './answering.ts';

/** Estimates jars beside the server: an estimate as it is kept, or null where the evidence allows none. */
answering((input: EstimateInput): JarAnswer | null => {
  try {
    return answerOf(estimateJar(input));
  } catch (problem) {
    if (problem instanceof RangeProblem) return null;
    throw problem;
  }
});
