import { RangeProblem } from '../errors.ts';
import { DEFAULT_PACKING, type Fractions } from '../physics/bands.ts';

/** What jars of one person and method differ from a laboratory by: shifts of ln(silt/sand) and ln(clay/sand). */
export type Calibration = { pairs: number; siltLog: number; clayLog: number };

/** The same soil as a jar gave it by height and a laboratory by mass, percent, with one size limit for sand. */
export type CalibrationPair = { jar: Fractions; lab: Fractions };

/** A share of nothing is taken as this many points: a ratio needs something to stand on. */
const ZERO_POINTS = 0.5;
/** Pairs that the usual packing densities weigh as much as. */
const PRIOR_PAIRS = 2;

/** Log ratios of silt and of clay to sand, of percent. */
export const logRatios = (f: Fractions) => {
  const [sand, silt, clay] = [f.sand, f.silt, f.clay].map((v) => Math.max(v, ZERO_POINTS));
  return { silt: Math.log(silt / sand), clay: Math.log(clay / sand) };
};

/** Points of soil that would have to be exchanged to make one composition the other. */
export function pointsApart(a: Fractions, b: Fractions): number {
  return (Math.abs(a.sand - b.sand) + Math.abs(a.silt - b.silt) + Math.abs(a.clay - b.clay)) / 2;
}

/** Fractions moved by a calibration, percent; shares that were nothing stay nothing. */
export function applyCalibration(f: Fractions, c: Pick<Calibration, 'siltLog' | 'clayLog'>): Fractions {
  const [sand, silt, clay] = [f.sand, f.silt * Math.exp(c.siltLog), f.clay * Math.exp(c.clayLog)];
  const sum = sand + silt + clay;
  return { sand: (100 * sand) / sum, silt: (100 * silt) / sum, clay: (100 * clay) / sum };
}

function shiftOf(pairs: readonly CalibrationPair[]): Calibration {
  const n = pairs.length;
  const usual = {
    silt: Math.log(DEFAULT_PACKING.silt / DEFAULT_PACKING.sand),
    clay: Math.log(DEFAULT_PACKING.clay / DEFAULT_PACKING.sand)
  };
  let [silt, clay] = [0, 0];
  for (const { jar, lab } of pairs) {
    const [from, to] = [logRatios(jar), logRatios(lab)];
    silt += to.silt - from.silt;
    clay += to.clay - from.clay;
  }
  return {
    pairs: n,
    siltLog: (silt + PRIOR_PAIRS * usual.silt) / (n + PRIOR_PAIRS),
    clayLog: (clay + PRIOR_PAIRS * usual.clay) / (n + PRIOR_PAIRS)
  };
}

/**
 * Calibrates jars against a laboratory: the mean difference of the log ratios, shrunk towards that of the usual
 * packing densities with the weight n / (n + 2).
 *
 * Source: perturbation of compositions, Aitchison 1986.
 * @param pairs at least two
 * @returns the calibration; the mean distance from the laboratory in points before, after, and with each pair left out
 *   in turn; and whether the last is less than the first: only then may it be said to help
 * @throws {RangeProblem} on `pairs` for fewer than two
 */
export function calibrate(pairs: readonly CalibrationPair[]): {
  calibration: Calibration;
  before: number;
  after: number;
  leaveOneOut: number;
  helps: boolean;
} {
  if (pairs.length < 2) {
    throw new RangeProblem('pairs', 'Two jars with a laboratory report each are needed at least.');
  }
  const calibration = shiftOf(pairs);
  const mean = (distance: (pair: CalibrationPair, i: number) => number) =>
    pairs.reduce((sum, pair, i) => sum + distance(pair, i), 0) / pairs.length;
  const before = mean(({ jar, lab }) => pointsApart(jar, lab));
  const after = mean(({ jar, lab }) => pointsApart(applyCalibration(jar, calibration), lab));
  const leaveOneOut = mean(({ jar, lab }, i) =>
    pointsApart(applyCalibration(jar, shiftOf(pairs.filter((_, j) => j !== i))), lab)
  );
  return { calibration, before, after, leaveOneOut, helps: leaveOneOut < before };
}
