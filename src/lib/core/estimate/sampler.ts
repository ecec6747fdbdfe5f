import { normalStream } from '../certainty/draws.ts';
import type { Likelihood } from './evidence/likelihood.ts';
import { momentsOf } from './summary.ts';
import { studentAbout, type Proposal } from './proposal.ts';
import { emptyMake, makeOf, UNKNOWNS as D } from './unknowns.ts';
import { effective, weightsOf } from './weights.ts';

/** How much work a sample is worth. */
export type Effort = {
  /** Draws that are begun with, and that each turn adds. */
  first: number;
  turn: number;
  /** It is done when every mean share is good to so many points and the draws are worth so many even ones, */
  points: number;
  worth: number;
  /** or when there are so many of them. */
  most: number;
};

/** For an answer under the hand, and for one that is kept. */
export const EFFORTS = {
  first: { first: 2000, turn: 1000, points: 0.8, worth: 300, most: 8000 },
  /** For what the answer would be without a piece of evidence. */
  rough: { first: 2000, turn: 1000, points: 1.5, worth: 250, most: 6000 },
  full: { first: 3000, turn: 1500, points: 0.4, worth: 800, most: 24_000 }
} as const satisfies Record<string, Effort>;

/** A rung of the ladder leaves the draws worth so many: enough to say where the next are to be drawn. */
const RUNG_WORTH = 250;
/** Once all of the likelihood is believed a turn adds one part in so many to the draws. */
const GROWS = 3;
/** Halvings in which the next rung is found. */
const HALVINGS = 14;
/** Where no settling comes near what was read the ladder ends here, draws for each that was wanted. */
const LADDER_MOST = 1.5;

/**
 * Draws of the unknowns of a jar, with what would be seen of each, gathered about what is likely.
 *
 * Adaptive multiple importance sampling (Cornuet et al. 2012): in turns a proposal is fitted to the draws as they weigh and
 * more are drawn from it; all of them then count by prior times likelihood over the mixture of every proposal so far. At
 * first the likelihood is tempered so that enough draws keep weight. What was drawn stays: when a height moves, the same
 * draws are only weighed anew.
 */
export class Sample {
  #z = new Float64Array(0);
  /** Sand, silt and clay of each draw, percent. */
  #shares = new Float64Array(0);
  #prior = new Float64Array(0);
  /** Sum over the proposals of how densely they draw where each draw is. */
  #mixture = new Float64Array(0);
  /** What would be seen of each draw. */
  #seen = new Float64Array(0);
  #count = 0;
  readonly #proposals: { proposal: Proposal; draws: number }[] = [];
  readonly #normal: () => number;
  readonly #make = emptyMake();

  /** @param start where the first draws come from */
  constructor(
    private readonly start: Proposal,
    private readonly look: Pick<Likelihood, 'look' | 'seen'>,
    seed: number
  ) {
    this.#normal = normalStream(seed);
  }

  /**
   * Adds draws until they are worth the effort under a likelihood.
   * @param score log likelihood of a jar that is seen so
   */
  settle(score: Likelihood['score'], effort: Effort): Weighed {
    if (this.#count === 0) this.#add(this.start, effort.first, LADDER_MOST * effort.most + effort.turn);
    const ln = new Float64Array(this.#prior.length);
    let scored = 0;
    let heat = 0;
    for (;;) {
      for (; scored < this.#count; scored++) ln[scored] = score(this.#seen, scored * this.look.seen);
      const before = this.#before();
      const weighed = (share: number) => weightsOf(ln.subarray(0, this.#count), share, before);
      let weights = weighed(1);
      let worth = effective(weights);
      if (worth >= RUNG_WORTH) heat = 1;
      else heat = this.#rung(heat, (share) => effective(weighed(share)));
      const room = effort.most * (heat < 1 ? LADDER_MOST : 1) - this.#count;
      if (room < effort.turn || (heat === 1 && this.#enough(weights, worth, effort)))
        return {
          z: this.#z,
          shares: this.#shares.subarray(0, 3 * this.#count),
          seen: this.#seen,
          stride: this.look.seen,
          weights,
          before,
          worth
        };
      if (heat < 1) {
        weights = weighed(heat);
        worth = effective(weights);
      }
      // Up the ladder each turn sees further; once there, fewer and larger ones cost less.
      const turn = heat < 1 ? effort.turn : Math.max(effort.turn, Math.round(this.#count / GROWS));
      this.#add(studentAbout(this.#z, weights, worth), Math.min(room, turn), 0);
    }
  }

  /** Whether every mean share is known well enough. */
  #enough(weights: Float64Array, worth: number, effort: Effort): boolean {
    if (worth < effort.worth) return false;
    const { mean, square } = momentsOf(this.#shares, weights);
    const wide = mean.map((m, j) => square[j] - m * m);
    return Math.max(...wide) <= effort.points ** 2 * worth;
  }

  /** How far the likelihood can be believed so that enough draws keep weight, from a share that was believed already. */
  #rung(from: number, worthAt: (share: number) => number): number {
    let [low, high] = [from, 1];
    for (let i = 0; i < HALVINGS; i++) {
      const middle = (low + high) / 2;
      if (worthAt(middle) >= RUNG_WORTH) low = middle;
      else high = middle;
    }
    return low;
  }

  /** Log of the prior over the mixture. */
  #before(): Float64Array {
    const out = new Float64Array(this.#count);
    for (let i = 0; i < out.length; i++) out[i] = this.#prior[i] - Math.log(this.#mixture[i]);
    return out;
  }

  #add(proposal: Proposal, draws: number, room: number): void {
    const from = this.#count;
    const to = from + draws;
    this.#makeRoom(Math.max(to, room));
    const z = this.#z;
    for (let i = from; i < to; i++) {
      const at = i * D;
      proposal.draw(z, at, this.#normal);
      let square = 0;
      for (let j = at; j < at + D; j++) square += z[j] * z[j];
      this.#prior[i] = -0.5 * square;
      const jar = makeOf(z, at, this.#make);
      this.#shares[3 * i] = 100 * jar.sand;
      this.#shares[3 * i + 1] = 100 * jar.silt;
      this.#shares[3 * i + 2] = 100 * jar.clay;
      this.look.look(jar, this.#seen, i * this.look.seen);
    }
    this.#proposals.push({ proposal, draws });
    const mixture = this.#mixture;
    for (let i = 0; i < from; i++) mixture[i] += draws * proposal.density(z, i * D);
    for (const p of this.#proposals)
      for (let i = from; i < to; i++) mixture[i] += p.draws * p.proposal.density(z, i * D);
    this.#count = to;
  }

  #makeRoom(count: number): void {
    const grown = (from: Float64Array<ArrayBuffer>, length: number) => {
      if (from.length >= length) return from;
      const out = new Float64Array(length);
      out.set(from);
      return out;
    };
    this.#z = grown(this.#z, count * D);
    this.#shares = grown(this.#shares, count * 3);
    this.#prior = grown(this.#prior, count);
    this.#mixture = grown(this.#mixture, count);
    this.#seen = grown(this.#seen, count * this.look.seen);
  }
}

/** A sample as it weighs under a likelihood: shares, and what would be seen of each, `stride` figures a draw. */
export type Weighed = {
  /** The unknowns of each draw. */
  z: Float64Array;
  /** Sand, silt and clay of each draw, percent. */
  shares: Float64Array;
  seen: Float64Array;
  stride: number;
  /** They sum to 1. */
  weights: Float64Array;
  /** Log of what each draw weighs before any evidence. */
  before: Float64Array;
  /** How many even draws it is worth. */
  worth: number;
};
