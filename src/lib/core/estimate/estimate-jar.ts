import { countClasses, namedChances } from '../certainty/classes.ts';
import { DEFAULT_SEED, summariseDraws } from '../certainty/draws.ts';
import { RangeProblem, requirePositive } from '../errors.ts';
import type { Fractions } from '../physics/bands.ts';
import type { SystemId } from '../texture/types.ts';
import { likelihoodOf, type Evidence, type Fit, type Likelihood } from './evidence.ts';
import type { ModelJar } from './forward.ts';
import { PRIORS } from './priors.ts';
import { EFFORTS, samplePosterior } from './sampler.ts';
import { emptyMake, LOAD, makeOf, UNKNOWNS } from './unknowns.ts';

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
  classes: { id: string; name: string; probability: number }[];
  /** How each height fits what the model expects on average. */
  fit: Fit[];
  /** Both halves of the sample agree within 2 points. */
  settled: boolean;
};

/** Halves of a sample further apart than this are not settled, points. */
const SETTLED_POINTS = 2;
/** So many draws go into the fit of the heights. */
const FIT_DRAWS = 200;
/** The search begins this much wider than the load is known, so that nothing is cut off. */
const WIDER = 1.5;
/** Where no fill is known, a deposit weighs about this, kg/m3, within this in ln: only where the search begins. */
const GUESS = { kgM3: 1150, ln: 0.4 };

function checkEvidence({ columnMm, evidence }: EstimateInput): void {
  requirePositive('columnMm', columnMm);
  const inside = (field: string, mm: number) => {
    if (!(mm >= 0 && mm <= columnMm))
      throw new RangeProblem(
        field,
        `A height lies between the bottom and the water, ${columnMm.toFixed(0)} mm up.`
      );
  };
  for (const e of evidence) {
    if (e.kind === 'mark') {
      requirePositive('timeS', e.timeS);
      inside('heightMm', e.heightMm);
    } else if (e.kind === 'bands') {
      requirePositive('atS', e.atS);
      inside('clayTopMm', e.clayTopMm);
      if (!(e.sandTopMm >= 0 && e.siltTopMm >= e.sandTopMm && e.clayTopMm >= e.siltTopMm))
        throw new RangeProblem('bands', 'Each line lies over the one below it.');
    } else if (e.kind === 'water') requirePositive('atS', e.atS);
    else if (e.kind === 'weighed') {
      requirePositive('kgM2', e.kgM2);
      if (e.sigmaLn !== undefined) requirePositive('sigmaLn', e.sigmaLn);
    } else if (e.kind === 'dry-fill') requirePositive('heightMm', e.heightMm);
  }
  if (!evidence.some((e) => e.kind === 'mark' || e.kind === 'bands'))
    throw new RangeProblem('evidence', 'Nothing of the sediment has been read yet.');
}

/** The same evidence in one order, whatever order it became known in: sums then round alike, and the answer is the same. */
function inOneOrder(evidence: readonly Evidence[]): Evidence[] {
  const said = (e: Evidence) => JSON.stringify(Object.entries(e).sort());
  return [...evidence].sort((a, b) => (said(a) < said(b) ? -1 : 1));
}

/** The load to begin the search with: as filled or weighed, else by the height of what lies there. */
function startOf(o: EstimateInput, loadLn: { ln: number; sigma: number } | undefined) {
  const topMm = Math.max(
    1,
    ...o.evidence.map((e) => (e.kind === 'mark' ? e.heightMm : e.kind === 'bands' ? e.clayTopMm : 0))
  );
  const { ln, sigma } = loadLn ?? { ln: Math.log((GUESS.kgM3 * topMm) / 1000), sigma: GUESS.ln };
  const { centre, spread } = PRIORS.loadLn;
  const wide = Math.min(1, (WIDER * sigma) / spread);
  const middle = (ln - centre) / spread;
  return (z: Float64Array, at: number): number => {
    const drawn = z[at + LOAD];
    const moved = middle + wide * drawn;
    z[at + LOAD] = moved;
    return Math.log(wide) + 0.5 * (drawn * drawn - moved * moved);
  };
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
  checkEvidence(o);
  const likelihood = likelihoodOf({ ...o, evidence: inOneOrder(o.evidence) });
  const make = emptyMake();
  const { draws, count, chains } = samplePosterior(logOf(likelihood), {
    effort: EFFORTS[o.effort ?? 'full'],
    seed: o.seed ?? DEFAULT_SEED,
    start: startOf(o, likelihood.load)
  });
  const shares = new Float64Array(count * 3);
  for (let i = 0; i < count; i++) {
    makeOf(draws, i * UNKNOWNS, make);
    shares[3 * i] = 100 * make.sand;
    shares[3 * i + 1] = 100 * make.silt;
    shares[3 * i + 2] = 100 * make.clay;
  }
  const sample = { fractions: shares, kept: count, asked: count };
  const { mean, sd } = summariseDraws(sample);
  const half = Math.floor(count / chains / 2) * chains;
  const part = (from: number, to: number) =>
    summariseDraws({ fractions: shares.subarray(3 * from, 3 * to), kept: to - from, asked: to - from }).mean;
  const [early, late] = [part(0, half), part(half, count)];
  return {
    draws: shares,
    fractions: mean,
    sd,
    classes: namedChances(system, countClasses(system, sample)),
    fit: fitOf(draws, count, likelihood),
    settled: PARTS.every((name) => Math.abs(early[name] - late[name]) <= SETTLED_POINTS)
  };
}

/** Log likelihood of the unknowns from `at` on. */
export function logOf(likelihood: Likelihood): (z: Float64Array, at: number) => number {
  const make = emptyMake();
  const seen = new Float64Array(likelihood.seen);
  return (z, at) => {
    likelihood.look(makeOf(z, at, make), seen);
    return likelihood.score(make, seen);
  };
}

/** Heights as read less what the model expects of them, on average over the draws, mm. */
function fitOf(draws: Float64Array, count: number, likelihood: Likelihood): Fit[] {
  const make = emptyMake();
  const seen = new Float64Array(likelihood.seen);
  const n = Math.min(FIT_DRAWS, count);
  const fits = likelihood.heights.map(({ kind, line, sigmaMm }): Fit => ({
    kind,
    ...(line ? { line } : {}),
    sigmaMm,
    residualMm: 0
  }));
  for (let i = 0; i < n; i++) {
    likelihood.look(makeOf(draws, Math.floor((i * count) / n) * UNKNOWNS, make), seen);
    likelihood.heights.forEach((h, j) => (fits[j].residualMm += (h.readMm - seen[j]) / n));
  }
  return fits;
}
