import { expose } from 'comlink';
import { answerOf, type JarAnswer } from '../core/estimate/answer.ts';
import { estimateJar, jarEstimator, type EstimateInput } from '../core/estimate/estimate-jar.ts';
import { stepsAfter, whatHelps, type Help } from '../core/estimate/help.ts';

/** An answer, and what would make it surer; left out where it is not worked out yet. */
export type Estimated = { answer: JarAnswer; helps?: Help[] };

const quick = jarEstimator();
const endpoint = {
  first: (input: EstimateInput): Estimated => ({ answer: answerOf(quick({ ...input, effort: 'first' })) }),
  full(input: EstimateInput): Estimated {
    const estimate = estimateJar(input);
    return {
      answer: answerOf(estimate),
      helps: whatHelps({ ...input, ...estimate, ...stepsAfter(input.evidence) })
    };
  }
};
export type EstimateEndpoint = typeof endpoint;
expose(endpoint);
