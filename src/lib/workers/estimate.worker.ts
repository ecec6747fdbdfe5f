import { expose } from 'comlink';
import { answerOf } from '../core/estimate/answer.ts';
import { estimateJar, jarEstimator, type EstimateInput } from '../core/estimate/estimate-jar.ts';

const quick = jarEstimator();
const endpoint = {
  first: (input: EstimateInput) => answerOf(quick({ ...input, effort: 'first' })),
  full: (input: EstimateInput) => answerOf(estimateJar(input))
};
export type EstimateEndpoint = typeof endpoint;
expose(endpoint);
