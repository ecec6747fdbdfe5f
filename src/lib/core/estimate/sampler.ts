import { evenStream, normalStream } from '../certainty/draws.ts';
import { covarianceOf, lowerRoot, type Spread } from './spread.ts';
import { UNKNOWNS as D } from './unknowns.ts';
import { drawByWeight, effective, weightsOf } from './weights.ts';

/** How much work a sample is worth: particles from the prior, chains, rounds of each rung of the ladder and at its end. */
export type Effort = { particles: number; chains: number; rungRounds: number; rounds: number };

/** For an answer under the hand, and for one that is kept. */
export const EFFORTS = {
  first: { particles: 1500, chains: 120, rungRounds: 3, rounds: 30 },
  full: { particles: 4000, chains: 480, rungRounds: 3, rounds: 50 }
} as const satisfies Record<string, Effort>;

/** A rung of the ladder keeps this share of the chains in weight. */
const KEEP = 0.5;
/** Heights that cannot come from one settling would make a ladder without end. */
const MOST_RUNGS = 60;
/** Halvings in which the next rung is found. */
const HALVINGS = 30;
/** Every so many rounds a difference of two others is tried in place of a step about the middle. */
const DIFFERENCE_EVERY = 3;
/** Share of the moves that should be taken: the step is made longer above it, shorter under it, by so much. */
const TAKEN = { share: 0.35, pull: 0.5 };
const STEP = { first: 0.5, least: 0.08, most: 0.95 };
/** Length of a difference (ter Braak 2006), varied by so much; a tenth is taken whole, from one explanation to another. */
const DIFFERENCE = { length: 2.38 / Math.sqrt(2 * D), from: 0.6, to: 1.4, whole: 0.1, noise: 1e-3 };

type Log = (z: Float64Array, at: number) => number;

/** Log density of standard normal unknowns, but for a constant. */
function priorOf(z: Float64Array, at: number): number {
  let sum = 0;
  for (let j = 0; j < D; j++) sum += z[at + j] * z[at + j];
  return -0.5 * sum;
}

/** Chains that climb together. */
class Crowd {
  z: Float64Array;
  /** Log likelihood of each chain. */
  ln: Float64Array;
  heat = 0;
  calls = 0;
  #step = STEP.first;
  #spread: Spread | undefined;
  readonly #trial = new Float64Array(D);
  readonly #noise = new Float64Array(D);
  readonly #normal: () => number;
  readonly #even: () => number;

  constructor(
    private log: Log,
    readonly chains: number,
    seed: number
  ) {
    this.z = new Float64Array(chains * D);
    this.ln = new Float64Array(chains);
    this.#normal = normalStream(seed);
    // A stream of its own beside that of the deviates.
    this.#even = evenStream(~seed);
  }

  /** Begins from the prior, at the first rung; what a start makes likelier is taken back by weight. */
  begin(particles: number, start: Log): void {
    const all = new Float64Array(particles * D).map(() => this.#normal());
    const weights = new Float64Array(particles).map((_, i) => start(all, i * D));
    const ln = new Float64Array(particles).map((_, i) => this.#ask(all, i * D));
    this.#climb(all, ln, weights);
  }

  /** Climbs a rung: as far as the weights keep their share, or all the way where it is the last. */
  climb(last: boolean): void {
    if (last) this.#drawAnew(this.z, this.ln, 1);
    else this.#climb(this.z, this.ln);
  }

  /** Fits the normal that steps are taken about to where the crowd is now. */
  fit(): void {
    this.#spread = lowerRoot(covarianceOf(this.z, this.chains, D), D);
  }

  /** One round of moves. @returns the share of them that were taken */
  move(difference: boolean): number {
    let yes = 0;
    for (let i = 0; i < this.chains; i++) {
      const at = i * D;
      const prior =
        difference || !this.#spread ? this.#alongDifference(i) : this.#aboutMiddle(at, this.#spread);
      const trialLn = this.#ask(this.#trial, 0);
      const ratio = prior + this.heat * (trialLn - this.ln[i]);
      if (!(ratio >= 0 || this.#even() < Math.exp(ratio))) continue;
      this.z.set(this.#trial, at);
      this.ln[i] = trialLn;
      yes++;
    }
    return yes / this.chains;
  }

  /** Makes the step longer or shorter by how many of a round were taken. */
  tune(taken: number): void {
    const next = this.#step * Math.exp(TAKEN.pull * (taken - TAKEN.share));
    this.#step = Math.min(STEP.most, Math.max(STEP.least, next));
  }

  #ask(z: Float64Array, at: number): number {
    this.calls++;
    return this.log(z, at);
  }

  #climb(from: Float64Array, ln: Float64Array, already?: Float64Array): void {
    const keeps = (heat: number) => effective(weightsOf(ln, heat - this.heat, already)) >= KEEP * this.chains;
    let [low, high] = [this.heat, 1];
    if (keeps(1)) low = 1;
    for (let i = 0; i < HALVINGS && low < 1; i++) {
      const middle = (low + high) / 2;
      if (keeps(middle)) low = middle;
      else high = middle;
    }
    this.#drawAnew(from, ln, low, already);
  }

  #drawAnew(from: Float64Array, ln: Float64Array, heat: number, already?: Float64Array): void {
    const chosen = drawByWeight(weightsOf(ln, heat - this.heat, already), this.chains, this.#even());
    const next = new Float64Array(this.chains * D);
    chosen.forEach((one, i) => next.set(from.subarray(one * D, (one + 1) * D), i * D));
    this.ln = Float64Array.from(chosen, (one) => ln[one]);
    this.z = next;
    this.heat = heat;
  }

  /** A trial along the difference of two others. @returns log of how much likelier the prior holds it */
  #alongDifference(self: number): number {
    const other = () => {
      const i = Math.floor(this.#even() * (this.chains - 1));
      return (i >= self ? i + 1 : i) * D;
    };
    const at = self * D;
    const [a, b] = [other(), other()];
    const { length, from, to, whole, noise } = DIFFERENCE;
    const long = this.#even() < whole ? 1 : length * (from + (to - from) * this.#even());
    for (let j = 0; j < D; j++)
      this.#trial[j] = this.z[at + j] + long * (this.z[a + j] - this.z[b + j]) + noise * this.#normal();
    return priorOf(this.#trial, 0) - priorOf(this.z, at);
  }

  /** A trial towards a fresh draw of the crowd's normal. @returns log of how much likelier the prior holds it than that normal */
  #aboutMiddle(at: number, { mean, root, half }: Spread): number {
    const keep = Math.sqrt(1 - this.#step ** 2);
    for (let j = 0; j < D; j++) this.#noise[j] = this.#normal();
    for (let j = 0; j < D; j++) {
      let fresh = 0;
      for (let m = 0; m <= j; m++) fresh += root[j * D + m] * this.#noise[m];
      this.#trial[j] = mean[j] + keep * (this.z[at + j] - mean[j]) + this.#step * fresh;
    }
    return priorOf(this.#trial, 0) - priorOf(this.z, at) + half(this.z, at) - half(this.#trial, 0);
  }
}

/**
 * Draws from the posterior of a jar whose unknowns are standard normal before anything is read.
 *
 * A ladder of tempered likelihoods leads a crowd of chains from the prior to the posterior (Del Moral et al. 2006): at each
 * rung they are drawn anew by weight and moved. A move steps from a chain towards a fresh draw of the normal that fits the
 * crowd, leaving that normal as it is (preconditioned Crank-Nicolson; Cotter et al. 2013), or along the difference of two
 * other chains (ter Braak 2006). At the end the crowd's normal is fixed and every round is kept.
 *
 * @param log log likelihood of the unknowns from `at` on
 * @param o.start moves a prior draw to where it is worth looking; returns the log of how much likelier the prior holds the
 * new place than what it was moved by
 * @returns draws of the unknowns, one after the other, chain by chain in each round; how many there are, how many times the
 * model was asked, and how many rungs were climbed
 */
export function samplePosterior(
  log: Log,
  o: { effort: Effort; seed: number; start?: Log }
): { draws: Float64Array; count: number; chains: number; calls: number; rungs: number } {
  const { particles, chains, rungRounds, rounds } = o.effort;
  const crowd = new Crowd(log, chains, o.seed);
  crowd.begin(particles, o.start ?? (() => 0));
  const settleDown = (turns: number) => {
    for (let r = 0; r < turns; r++) {
      crowd.fit();
      const difference = r % DIFFERENCE_EVERY === DIFFERENCE_EVERY - 1;
      const taken = crowd.move(difference);
      if (!difference) crowd.tune(taken);
    }
  };
  let rungs = 1;
  for (; crowd.heat < 1; rungs++) {
    settleDown(rungRounds);
    crowd.climb(rungs === MOST_RUNGS);
  }
  settleDown(3 * rungRounds);
  crowd.fit();
  const draws = new Float64Array(rounds * chains * D);
  for (let r = 0; r < rounds; r++) {
    crowd.move(r % DIFFERENCE_EVERY === 1);
    draws.set(crowd.z, r * chains * D);
  }
  return { draws, count: rounds * chains, chains, calls: crowd.calls, rungs };
}
