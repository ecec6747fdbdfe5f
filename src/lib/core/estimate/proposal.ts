import { UNKNOWNS as D } from './unknowns.ts';

/** A distribution that trial draws come from. Densities leave out the constant that all of them share. */
export type Proposal = {
  /** Writes a draw to `z` from `at` on. */
  draw: (z: Float64Array, at: number, normal: () => number) => void;
  density: (z: Float64Array, at: number) => number;
};

/** The prior, but for one unknown that is looked for where it is known to lie. */
export function priorAbout(which: number, middle: number, wide: number): Proposal {
  return {
    draw(z, at, normal) {
      for (let j = 0; j < D; j++) z[at + j] = normal();
      z[at + which] = middle + wide * z[at + which];
    },
    density(z, at) {
      let square = 0;
      for (let j = 0; j < D; j++) if (j !== which) square += z[at + j] * z[at + j];
      return Math.exp(-0.5 * (square + ((z[at + which] - middle) / wide) ** 2)) / wide;
    }
  };
}

/** Degrees of freedom of the tails: wide enough that nothing which is likely is hardly ever drawn. */
const FREEDOM = 8;
/** So many draws' worth of belief that unknowns lie apart, before their covariance is believed. */
const APART = 20;
const WIDER = 1.1;
const LEAST_VARIANCE = 1e-4;
/** Beyond this square of its distance a Student is about 1e-20 of its peak, and may pass for no less: what lies there counts by other proposals. */
const FAR = 400;

/** Log of the gamma function of half a whole number. */
function lnGammaHalf(twice: number): number {
  let ln = twice % 2 === 0 ? 0 : Math.log(Math.sqrt(Math.PI));
  for (let k = twice % 2 === 0 ? 2 : 1; k < twice; k += 2) ln += Math.log(k / 2);
  return ln;
}
const STUDENT = Math.exp(lnGammaHalf(FREEDOM + D) - lnGammaHalf(FREEDOM) - (D / 2) * Math.log(FREEDOM / 2));

/**
 * A multivariate Student t about where weighed draws lie: their mean, and their covariance drawn towards its diagonal by as
 * much as few draws can tell.
 *
 * @param weights sum to 1
 * @param worth how many even draws they are worth
 */
export function studentAbout(z: Float64Array, weights: Float64Array, worth: number): Proposal {
  const mean = new Float64Array(D);
  const root = new Float64Array(D * D);
  const off = new Float64Array(D);
  const ignored = 1e-4 / weights.length;
  for (let i = 0; i < weights.length; i++)
    if (weights[i] > ignored) for (let j = 0; j < D; j++) mean[j] += weights[i] * z[i * D + j];
  for (let i = 0; i < weights.length; i++) {
    if (weights[i] <= ignored) continue;
    for (let j = 0; j < D; j++) {
      off[j] = z[i * D + j] - mean[j];
      for (let k = 0; k <= j; k++) root[j * D + k] += weights[i] * off[j] * off[k];
    }
  }
  const believed = (WIDER * worth) / (worth + APART);
  for (let j = 0; j < D; j++) {
    for (let k = 0; k < j; k++) root[j * D + k] *= believed;
    root[j * D + j] = WIDER * root[j * D + j] + LEAST_VARIANCE;
  }
  const scale = STUDENT / factor(root);
  const solved = new Float64Array(D);
  const inverse = Float64Array.from({ length: D }, (_, j) => 1 / root[j * D + j]);
  return {
    draw(to, at, normal) {
      for (let j = 0; j < D; j++) solved[j] = normal();
      let chi = 0;
      for (let i = 0; i < FREEDOM; i++) chi += normal() ** 2;
      const tail = Math.sqrt(FREEDOM / chi);
      for (let j = 0; j < D; j++) {
        let sum = 0;
        for (let m = 0; m <= j; m++) sum += root[j * D + m] * solved[m];
        to[at + j] = mean[j] + tail * sum;
      }
    },
    density(of, at) {
      let square = 0;
      for (let j = 0; j < D; j++) {
        const row = j * D;
        let sum = of[at + j] - mean[j];
        for (let m = 0; m < j; m++) sum -= root[row + m] * solved[m];
        sum *= inverse[j];
        solved[j] = sum;
        square += sum * sum;
        if (square > FAR) break;
      }
      return scale * (1 + square / FREEDOM) ** (-(FREEDOM + D) / 2);
    }
  };
}

/** Cholesky: turns the lower half of a covariance into its root. @returns the root of its determinant */
function factor(root: Float64Array): number {
  let determinant = 1;
  for (let j = 0; j < D; j++) {
    for (let k = 0; k <= j; k++) {
      let sum = root[j * D + k];
      for (let m = 0; m < k; m++) sum -= root[j * D + m] * root[k * D + m];
      root[j * D + k] = j === k ? Math.sqrt(Math.max(LEAST_VARIANCE ** 2, sum)) : sum / root[k * D + k];
    }
    determinant *= root[j * D + j];
  }
  return determinant;
}
