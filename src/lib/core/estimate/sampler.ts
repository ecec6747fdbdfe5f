import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { normalStream } from '../certainty/draws.ts';
import { covarianceOf, lowerRoot, type Spread } from './spread.ts';
import { UNKNOWNS as D } from './unknowns.ts';

/** How much work a sample is worth: particles from the prior, chains, rounds of each rung of the ladder and at its end. */
export type Effort = { particles: number; chains: number; rungRounds: number; rounds: number };

/** For an answer under the hand, and for one that is kept. */
export const EFFORTS = {
  first: { particles: 1500, chains: 120, rungRounds: 3, rounds: 30 },
  full: { particles: 4000, chains: 480, rungRounds: 3, rounds: 50 }
} as const satisfies Record<string, Effort>;

/** A rung of the ladder keeps this share of the chains in weight. */
const KEEP = 0.5;
/** Every so many rounds a difference of two others is tried in place of a step about the middle. */
const DIFFERENCE_EVERY = 3;
/** Share of the moves that should be taken: the step is made longer above it, shorter under it. */
const TAKEN = 0.35;
const STEP = { least: 0.08, most: 0.95, first: 0.5 };

const priorOf = (z: Float64Array, at: number): number => {
  let sum = 0;
  for (let j = 0; j < D; j++) sum += z[at + j] * z[at + j];
  return -0.5 * sum;
};

/**
 * Draws from the posterior of a jar whose unknowns are standard normal before anything is read.
 *
 * A ladder of tempered likelihoods leads a crowd of chains from the prior to the posterior: at each rung they are drawn
 * anew by weight and moved. A move steps from a chain towards a fresh draw of the normal that fits the crowd, leaving that
 * normal as it is (preconditioned Crank-Nicolson; Cotter et al. 2013), or along the difference of two other chains
 * (ter Braak 2006). At the end the crowd's normal is fixed and every round is kept.
 *
 * @param log log likelihood of the unknowns from `at` on
 * @param start moves a prior draw to where it is worth looking; returns the log of how much likelier the prior holds the
 * new place than what it was moved by
 * @returns draws of the unknowns, one after the other, chain by chain in each round
 */
export function samplePosterior(
  log: (z: Float64Array, at: number) => number,
  o: { effort: Effort; seed: number; start?: (z: Float64Array, at: number) => number }
): { draws: Float64Array; count: number; chains: number; taken: number; calls: number } {
  const { particles, chains, rungRounds, rounds } = o.effort;
  const normal = normalStream(o.seed);
  const generator = xoroshiro128plus(o.seed ^ 0x5eed);
  const uniform = () => uniformFloat64(generator);
  let calls = 0;

  // The prior, with what a start makes likelier taken back by weight.
  const crowd = new Float64Array(particles * D);
  for (let i = 0; i < crowd.length; i++) crowd[i] = normal();
  const crowdLog = new Float64Array(particles);
  const crowdStart = new Float64Array(particles);
  for (let i = 0; i < particles; i++) {
    crowdStart[i] = o.start ? o.start(crowd, i * D) : 0;
    crowdLog[i] = log(crowd, i * D);
    calls++;
  }

  let z = new Float64Array(chains * D);
  let ln = new Float64Array(chains);
  const trial = new Float64Array(D);
  const noise = new Float64Array(D);
  let step = STEP.first;
  let heat = 0;

  /** The heat at which the weights keep their share, from that of now; 1 at most. */
  function nextHeat(logs: Float64Array, extra?: Float64Array): number {
    const keeps = (to: number) => effective(logs, to - heat, extra) >= KEEP * chains;
    if (keeps(1)) return 1;
    let [low, high] = [heat, 1];
    for (let i = 0; i < 30; i++) {
      const mid = (low + high) / 2;
      if (keeps(mid)) low = mid;
      else high = mid;
    }
    return Math.max(low, heat + 1e-6);
  }
  /** Draws chains anew by weight, evenly spaced. */
  function drawAnew(from: Float64Array, logs: Float64Array, by: number, extra?: Float64Array): void {
    const weights = weightsOf(logs, by, extra);
    const next = new Float64Array(chains * D);
    const nextLn = new Float64Array(chains);
    let sum = weights[0];
    let at = 0;
    const offset = uniform();
    for (let i = 0; i < chains; i++) {
      const goal = (i + offset) / chains;
      while (sum < goal && at < weights.length - 1) sum += weights[++at];
      next.set(from.subarray(at * D, (at + 1) * D), i * D);
      nextLn[i] = logs[at];
    }
    z = next;
    ln = nextLn;
  }

  let spread: Spread | undefined;
  let taken = 0;

  /** One round of moves at a heat. */
  function move(differences: boolean): number {
    let yes = 0;
    for (let i = 0; i < chains; i++) {
      const at = i * D;
      let ratio: number;
      if (differences || !spread) {
        const a = Math.floor(uniform() * (chains - 1));
        const b = Math.floor(uniform() * (chains - 1));
        const [pa, pb] = [(a + (a >= i ? 1 : 0)) * D, (b + (b >= i ? 1 : 0)) * D];
        const long = uniform() < 0.1 ? 1 : (2.38 / Math.sqrt(2 * D)) * (0.6 + 0.8 * uniform());
        for (let j = 0; j < D; j++) trial[j] = z[at + j] + long * (z[pa + j] - z[pb + j]) + 1e-3 * normal();
        ratio = priorOf(trial, 0) - priorOf(z, at);
      } else {
        const { mean, root } = spread;
        const keep = Math.sqrt(1 - step * step);
        for (let j = 0; j < D; j++) noise[j] = normal();
        for (let j = 0; j < D; j++) {
          let fresh = 0;
          for (let m = 0; m <= j; m++) fresh += root[j * D + m] * noise[m];
          trial[j] = mean[j] + keep * (z[at + j] - mean[j]) + step * fresh;
        }
        ratio = priorOf(trial, 0) - priorOf(z, at) + spread.half(z, at) - spread.half(trial, 0);
      }
      const trialLn = log(trial, 0);
      calls++;
      ratio += heat * (trialLn - ln[i]);
      if (ratio >= 0 || uniform() < Math.exp(ratio)) {
        z.set(trial, at);
        ln[i] = trialLn;
        yes++;
      }
    }
    return yes / chains;
  }
  const tune = (rate: number) =>
    (step = Math.min(STEP.most, Math.max(STEP.least, step * Math.exp(0.5 * (rate - TAKEN)))));

  heat = nextHeat(crowdLog, crowdStart);
  drawAnew(crowd, crowdLog, heat, crowdStart);
  for (;;) {
    for (let r = 0; r < rungRounds; r++) {
      spread = lowerRoot(covarianceOf(z, chains, D), D);
      const differences = r % DIFFERENCE_EVERY === DIFFERENCE_EVERY - 1;
      const rate = move(differences);
      if (!differences) tune(rate);
    }
    if (heat >= 1) break;
    const to = nextHeat(ln);
    drawAnew(z, ln, to - heat);
    heat = to;
  }
  for (let r = 0; r < 2 * rungRounds; r++) {
    const rate = move(r % DIFFERENCE_EVERY === 1);
    if (r % DIFFERENCE_EVERY !== 1) tune(rate);
    spread = lowerRoot(covarianceOf(z, chains, D), D);
  }
  const draws = new Float64Array(rounds * chains * D);
  for (let r = 0; r < rounds; r++) {
    taken += move(r % DIFFERENCE_EVERY === 1);
    draws.set(z, r * chains * D);
  }
  return { draws, count: rounds * chains, chains, taken: taken / rounds, calls };
}

/** Weights of logs at a step of heat, summing to 1. */
function weightsOf(logs: Float64Array, by: number, extra?: Float64Array): Float64Array {
  const out = new Float64Array(logs.length);
  let most = -Infinity;
  for (let i = 0; i < logs.length; i++) {
    out[i] = by * logs[i] + (extra ? extra[i] : 0);
    if (out[i] > most) most = out[i];
  }
  let sum = 0;
  for (let i = 0; i < out.length; i++) sum += out[i] = Math.exp(out[i] - most);
  for (let i = 0; i < out.length; i++) out[i] /= sum;
  return out;
}

/** How many even weights these are worth (Kish 1965). */
function effective(logs: Float64Array, by: number, extra?: Float64Array): number {
  let square = 0;
  for (const w of weightsOf(logs, by, extra)) square += w * w;
  return 1 / square;
}
