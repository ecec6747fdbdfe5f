import type { Fractions } from '../physics/bands.ts';
import { isOfSediment, type Evidence } from './evidence/kinds.ts';
import type { Likelihood } from './evidence/likelihood.ts';
import { meanOf } from './summary.ts';
import type { Weighed } from './sampler.ts';
import { effective, weightsOf } from './weights.ts';

/** What one piece of evidence does to the answer. */
export type Strand = {
  evidence: Evidence;
  /** The shares without it, percent; undefined where the draws cannot say. */
  without: Fractions | undefined;
};

/** Fewer even draws than this say nothing. */
const LEAST_WORTH = 40;

/**
 * The answer without each piece of evidence in turn: the same draws, weighed by what is left.
 *
 * @param anew estimates from what is left where hardly any of the draws are likely without it
 */
export function strandsOf(
  weighed: Weighed,
  evidence: readonly Evidence[],
  likelihood: Likelihood,
  anew?: (evidence: readonly Evidence[]) => Fractions
): Strand[] {
  const { shares, seen, stride, before } = weighed;
  const n = before.length;
  const looks = evidence.filter(isOfSediment).length;
  return evidence.map((one, at) => {
    // Without any look at the sediment there is no answer.
    if (looks === 1 && isOfSediment(one)) return { evidence: one, without: undefined };
    const left = new Float64Array(n);
    for (let i = 0; i < n; i++) left[i] = likelihood.score(seen, i * stride, at);
    const weights = weightsOf(left, 1, before);
    if (effective(weights) >= LEAST_WORTH) return { evidence: one, without: meanOf(shares, weights) };
    return { evidence: one, without: anew?.(evidence.filter((e) => e !== one)) };
  });
}
