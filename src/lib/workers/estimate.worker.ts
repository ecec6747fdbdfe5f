import { expose } from 'comlink';
import { answerOf, type JarAnswer } from '../core/estimate/answer.ts';
import {
  estimateJar,
  jarEstimator,
  type EstimateInput,
  type JarEstimate
} from '../core/estimate/estimate-jar.ts';
import { stepsAfter, whatHelps, type Help } from '../core/estimate/help.ts';

/** An answer, and what would make it surer; left out where it is not worked out yet. */
export type Estimated = { answer: JarAnswer; helps?: Help[] };

const quick = jarEstimator();
const helped = (input: EstimateInput, estimate: JarEstimate): Estimated => ({
  answer: answerOf(estimate),
  helps: whatHelps({ ...input, ...estimate, ...stepsAfter(input.evidence) })
});
const endpoint = {
  first: (input: EstimateInput): Estimated => ({ answer: answerOf(quick({ ...input, effort: 'first' })) }),
  /** Of a jar that still stands: soon, for it is not the last word. */
  early: (input: EstimateInput): Estimated => helped(input, quick({ ...input, effort: 'first' })),
  full: (input: EstimateInput): Estimated => helped(input, estimateJar(input))
};
export type EstimateEndpoint = typeof endpoint;
expose(endpoint);
