import { evenStream, normalStream } from '../../src/lib/core/index.ts';
import { likelihoodOf } from '../../src/lib/core/estimate/evidence/likelihood.ts';
import type { EstimateInput } from '../../src/lib/core/estimate/estimate-jar.ts';
import { emptyMake, makeOf, UNKNOWNS as D } from '../../src/lib/core/estimate/unknowns.ts';

const CHAINS = 80;
const SHARES = 3;
/** Usual length of a step along the difference of two chains (ter Braak 2006). */
const LONG = 2.38;

/** A step towards a fresh draw keeps so much of where it was. */
const KEEPS = 0.9;
/** How far a step along a difference is shaken, so that chains do not stay on a few lines. */
const SHAKEN = 0.005;

/**
 * Mean and standard error of the shares of a jar by Markov chains: another way to the same posterior than the sampler's
 * (differential evolution; ter Braak 2006; half of the moves a step towards a fresh draw of what is neither share nor load).
 *
 * @param o.could unknowns to begin at, from the estimate
 * @returns percent: sand, silt, clay
 */
export function byChains(
  o: Pick<EstimateInput, 'columnMm' | 'tempC' | 'evidence'> & { could: Float64Array },
  rounds: number
): { mean: number[]; sd: number[] } {
  const likelihood = likelihoodOf(o);
  const seen = new Float64Array(likelihood.seen);
  const make = emptyMake();
  const normal = normalStream(11);
  const even = evenStream(4711);
  const some = () => Math.floor(even() * CHAINS);
  const lnOf = (z: Float64Array, at: number) => {
    let square = 0;
    for (let j = 0; j < D; j++) square += z[at + j] ** 2;
    likelihood.look(makeOf(z, at, make), seen, 0);
    return likelihood.score(seen, 0) - square / 2;
  };
  const starts = Math.floor(o.could.length / D / CHAINS);
  const z = new Float64Array(CHAINS * D);
  for (let i = 0; i < CHAINS; i++) z.set(o.could.subarray(i * starts * D, (i * starts + 1) * D), i * D);
  const ln = Float64Array.from({ length: CHAINS }, (_, i) => lnOf(z, i * D));
  const trial = new Float64Array(D);
  const [sum, square] = [new Float64Array(3), new Float64Array(3)];
  for (let round = 0; round < rounds; round++) {
    for (let i = 0; i < CHAINS; i++) {
      const [a, b] = [some(), some()];
      const fresh = even() < 0.5;
      let prior = 0;
      for (let j = 0; j < D; j++) {
        const here = z[i * D + j];
        if (!fresh)
          trial[j] = here + (LONG / Math.sqrt(2 * D)) * (z[a * D + j] - z[b * D + j]) + SHAKEN * normal();
        else if (j < SHARES) trial[j] = here;
        else {
          trial[j] = KEEPS * here + Math.sqrt(1 - KEEPS ** 2) * normal();
          prior += (trial[j] ** 2 - here ** 2) / 2;
        }
      }
      const to = lnOf(trial, 0);
      if (Math.log(even()) < to - ln[i] + prior) {
        z.set(trial, i * D);
        ln[i] = to;
      }
      const jar = makeOf(z, i * D, make);
      [jar.sand, jar.silt, jar.clay].forEach((share, j) => {
        sum[j] += 100 * share;
        square[j] += (100 * share) ** 2;
      });
    }
  }
  const mean = [...sum].map((s) => s / (CHAINS * rounds));
  return { mean, sd: mean.map((m, j) => Math.sqrt(square[j] / (CHAINS * rounds) - m * m)) };
}
