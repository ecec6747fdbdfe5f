import { DEFAULT_SEED, summariseDraws } from '../certainty/draws.ts';
import type { Fractions } from '../physics/bands.ts';
import type { SystemId } from '../texture/types.ts';
import { checkEvidence } from './check.ts';
import { timeOf, topOf, type Evidence } from './evidence/kinds.ts';
import { likelihoodOf, type Fit, type Likelihood } from './evidence/likelihood.ts';
import type { ModelJar } from './forward.ts';
import { PRIORS } from './priors.ts';
import { priorAbout, type Proposal } from './proposal.ts';
import { EFFORTS, Sample, type Weighed } from './sampler.ts';
import { strandsOf, type Strand } from './strands.ts';
import { chancesOf, meanOf, type ClassChance } from './summary.ts';
import { LOAD, UNKNOWNS } from './unknowns.ts';
import { drawByWeight } from './weights.ts';

const PARTS = ['sand', 'silt', 'clay'] as const;

/** A jar to be estimated, and what is known of it. */
export type EstimateInput = ModelJar & {
  evidence: readonly Evidence[];
  seed?: number;
  /** `first` for an answer under the hand, `full` for one that is kept. */
  effort?: 'first' | 'full';
};

/** The answer: sand, silt and clay by mass, as sure as it is. */
export type JarEstimate = {
  /** Draws of the shares, percent: sand, silt, clay, one draw after the other. */
  draws: Float64Array;
  fractions: Fractions;
  sd: Fractions;
  /** Chances of the classes of the system, likeliest first. */
  classes: ClassChance[];
  /** How each height fits what the model expects on average. */
  fit: Fit[];
  /** What each piece of evidence pulls: the answer without it. */
  strands: Strand[];
  /** Both halves of the sample agree within 2 points, and enough of it counts. */
  settled: boolean;
  /** How many jars were run for it. */
  calls: number;
  /** Unknowns of jars that could be this one, one after the other: see {@link whatHelps}. */
  could: Float64Array;
};

/** Even draws that are taken of a sample. */
const DRAWS = 8000;
/** Halves of a sample further apart than this are not settled, points; nor is one worth fewer even draws. */
const SETTLED = { points: 2, worth: 150 };
/** So many draws go into the fit of the heights. */
const FIT_DRAWS = 400;
/** The search begins this much wider than the load is known, so that nothing is cut off. */
const WIDER = 1.5;
/** Where no fill is known, a deposit weighs about this, kg/m3, within this in ln: only where the search begins. */
const GUESS = { kgM3: 1150, ln: 0.4 };

/** The same evidence in one order, whatever order it became known in: sums then round alike, and the answer is the same. */
function inOneOrder(evidence: readonly Evidence[]): Evidence[] {
  const said = (e: Evidence) => JSON.stringify(Object.entries(e).sort());
  return [...evidence].sort(
    (a, b) =>
      a.kind.localeCompare(b.kind) || (timeOf(a) ?? 0) - (timeOf(b) ?? 0) || said(a).localeCompare(said(b))
  );
}

/** Where the search begins: the load as filled or weighed, else by the height of what lies there, else anywhere. */
function startOf(evidence: readonly Evidence[], load: Likelihood['load']): Proposal {
  if (!load && !evidence.some((e) => e.kind === 'mark' || e.kind === 'bands')) return priorAbout(LOAD, 0, 1);
  const { ln, sigma } = load ?? { ln: Math.log((GUESS.kgM3 * topOf(evidence)) / 1000), sigma: GUESS.ln };
  const { centre, spread } = PRIORS.loadLn;
  return priorAbout(LOAD, (ln - centre) / spread, Math.min(1, (WIDER * sigma) / spread));
}

/**
 * The composition of a jar from everything that is known of it.
 *
 * Every unknown (shares, load, sizes within the bands, packing, flocs, the eye) is drawn from its prior and kept as it fits
 * the evidence. Bayes' rule on a forward model of the jar: see {@link jarModel}, priors in `priors.ts`.
 *
 * @returns shares by mass, percent; draws are in no order that means anything
 * @throws {RangeProblem} for a height outside the jar, lines that cross, or nothing of the sediment read
 * @example estimateJar({ columnMm: 160, tempC: 20, evidence: [{ kind: 'mark', timeS: 60, heightMm: 18 }, ...] })
 */
export function estimateJar(o: EstimateInput, system: SystemId = 'usda'): JarEstimate {
  return jarEstimator()(o, system);
}

/**
 * An estimator that keeps its draws from one answer to the next: where only a height, the water or the fill changed, a
 * first answer weighs them anew and is there at once. A full answer is the same as that of {@link estimateJar}.
 */
export function jarEstimator(): (o: EstimateInput, system?: SystemId) => JarEstimate {
  let kept: { key: string; sample: Sample; worth: number } | undefined;
  return (o, system = 'usda') => {
    checkEvidence(o.evidence, o.columnMm);
    const evidence = inOneOrder(o.evidence);
    const likelihood = likelihoodOf({ ...o, evidence });
    const seed = o.seed ?? DEFAULT_SEED;
    const effort = o.effort ?? 'full';
    const key = `${seed} ${likelihood.looksAt}`;
    const again = effort === 'first' && kept?.key === key;
    const fresh = () => new Sample(startOf(evidence, likelihood.load), likelihood, seed);
    let sample = again && kept ? kept.sample : fresh();
    let weighed = sample.settle(likelihood.score, EFFORTS[effort]);
    // Draws about where a tape stood before say little of where it was dragged to, unless they said no more there.
    let worth = again && kept ? kept.worth : weighed.worth;
    if (again && weighed.worth < Math.min(SETTLED.worth, worth / 2)) {
      sample = fresh();
      weighed = sample.settle(likelihood.score, EFFORTS[effort]);
      worth = weighed.worth;
    }
    kept = { key, sample, worth };
    let calls = weighed.weights.length;
    const anew = (left: readonly Evidence[]): Fractions => {
      const without = likelihoodOf({ ...o, evidence: left });
      const { shares, weights } = new Sample(startOf(left, without.load), without, seed).settle(
        without.score,
        EFFORTS.rough
      );
      calls += weights.length;
      return meanOf(shares, weights);
    };
    const strands = strandsOf(weighed, evidence, likelihood, effort === 'full' ? anew : undefined);
    return { ...summed(weighed, strands, likelihood, system), calls };
  };
}

/** An even sample of so many, as places among the draws. */
const evenly = (weights: Float64Array, count: number) => drawByWeight(weights, count, 0.5);

function summed(
  weighed: Weighed,
  strands: Strand[],
  likelihood: Likelihood,
  system: SystemId
): Omit<JarEstimate, 'calls'> {
  const { shares, weights, worth } = weighed;
  const draws = new Float64Array(3 * DRAWS);
  evenly(weights, DRAWS).forEach((place, i) => draws.set(shares.subarray(3 * place, 3 * place + 3), 3 * i));
  const { mean, sd } = summariseDraws({ fractions: draws, kept: DRAWS });
  const half = (odd: number) => {
    const part = weights.map((w, i) => (i % 2 === odd ? w : 0));
    const sum = part.reduce((a, b) => a + b, 0);
    return meanOf(
      shares,
      part.map((w) => w / sum)
    );
  };
  const [a, b] = [half(0), half(1)];
  return {
    draws,
    fractions: mean,
    sd,
    classes: chancesOf(system, draws),
    fit: fitOf(weighed, likelihood),
    strands,
    could: couldBe(weighed),
    settled: worth >= SETTLED.worth && PARTS.every((name) => Math.abs(a[name] - b[name]) <= SETTLED.points)
  };
}

/** So many jars that could be this one are handed out. */
const COULD = 1500;

function couldBe({ z, weights }: Weighed): Float64Array {
  const out = new Float64Array(COULD * UNKNOWNS);
  evenly(weights, COULD).forEach((place, i) =>
    out.set(z.subarray(place * UNKNOWNS, (place + 1) * UNKNOWNS), i * UNKNOWNS)
  );
  return out;
}

/** Heights as read less what the model expects of them, on average over the draws, mm. */
function fitOf(weighed: Weighed, { heights }: Likelihood): Fit[] {
  const chosen = evenly(weighed.weights, FIT_DRAWS);
  return heights.map(({ kind, line, timeS, sigmaMm, readMm }, j): Fit => {
    let off = 0;
    for (const i of chosen) off += (readMm - weighed.seen[i * weighed.stride + j]) / chosen.length;
    return { kind, ...(line ? { line } : {}), timeS, sigmaMm, residualMm: off };
  });
}
