/** A normal that fits a crowd: its middle, the lower root of its covariance, and its log density but for a constant. */
export type Spread = {
  mean: Float64Array;
  root: Float64Array;
  half: (z: Float64Array, at: number) => number;
};

/** Mean and covariance of points of so many dimensions, a little of it laid on the diagonal so that it can be rooted. */
export function covarianceOf(
  points: Float64Array,
  count: number,
  dimensions: number
): { mean: Float64Array; covariance: Float64Array } {
  const d = dimensions;
  const mean = new Float64Array(d);
  for (let i = 0; i < count; i++) for (let j = 0; j < d; j++) mean[j] += points[i * d + j] / count;
  const covariance = new Float64Array(d * d);
  for (let i = 0; i < count; i++) {
    for (let j = 0; j < d; j++) {
      const a = points[i * d + j] - mean[j];
      for (let k = 0; k <= j; k++) covariance[j * d + k] += (a * (points[i * d + k] - mean[k])) / (count - 1);
    }
  }
  for (let j = 0; j < d; j++) covariance[j * d + j] += 1e-4;
  return { mean, covariance };
}

/** The normal of a covariance, by Cholesky; `covariance` holds its lower half and is written over. */
export function lowerRoot(
  { mean, covariance }: { mean: Float64Array; covariance: Float64Array },
  dimensions: number
): Spread {
  const d = dimensions;
  const root = covariance;
  for (let j = 0; j < d; j++) {
    for (let k = 0; k <= j; k++) {
      let sum = root[j * d + k];
      for (let m = 0; m < k; m++) sum -= root[j * d + m] * root[k * d + m];
      root[j * d + k] = j === k ? Math.sqrt(Math.max(1e-12, sum)) : sum / root[k * d + k];
    }
  }
  const solved = new Float64Array(d);
  return {
    mean,
    root,
    half(z, at) {
      let square = 0;
      for (let j = 0; j < d; j++) {
        let sum = z[at + j] - mean[j];
        for (let m = 0; m < j; m++) sum -= root[j * d + m] * solved[m];
        solved[j] = sum / root[j * d + j];
        square += solved[j] * solved[j];
      }
      return -0.5 * square;
    }
  };
}
