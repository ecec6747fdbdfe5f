/**
 * Least squares with no unknown below zero, for three unknowns: minimises |A x - b| over x >= 0.
 *
 * With three unknowns there are seven sets that may be above zero; each is solved by its normal equations, and the best
 * of those that come out without a negative is the answer, for the problem is convex (Lawson & Hanson 1974, ch. 23).
 *
 * @param rows of A, three numbers each, at least as many as unknowns that can be told apart
 * @param b right side, one number a row
 * @returns x, all zero if nothing fits better than nothing
 */
export function nonNegativeLeastSquares(
  rows: readonly (readonly number[])[],
  b: readonly number[]
): number[] {
  // Normal equations: all that is needed of A.
  const g = [0, 1, 2].map((i) => [0, 1, 2].map((j) => rows.reduce((sum, r) => sum + r[i] * r[j], 0)));
  const c = [0, 1, 2].map((i) => rows.reduce((sum, r, k) => sum + r[i] * b[k], 0));
  let best = [0, 0, 0];
  let least = 0; // |Ax-b|^2 less b.b, so that x = 0 gives 0
  for (const set of SETS) {
    const x = solveSet(g, c, set);
    if (!x || x.some((v) => v < 0)) continue;
    let value = 0;
    for (let i = 0; i < 3; i++) {
      value -= 2 * x[i] * c[i];
      for (let j = 0; j < 3; j++) value += x[i] * g[i][j] * x[j];
    }
    if (value < least - 1e-12) [best, least] = [x, value];
  }
  return best;
}

const SETS = [[0, 1, 2], [0, 1], [0, 2], [1, 2], [0], [1], [2]] as const;

/** Solves the normal equations over some of the unknowns, the others at zero; undefined if they cannot be told apart. */
function solveSet(g: number[][], c: number[], set: readonly number[]): number[] | undefined {
  const n = set.length;
  const m = set.map((i) => [...set.map((j) => g[i][j]), c[i]]);
  for (let col = 0; col < n; col++) {
    let pivot = col;
    for (let r = col + 1; r < n; r++) if (Math.abs(m[r][col]) > Math.abs(m[pivot][col])) pivot = r;
    if (Math.abs(m[pivot][col]) < 1e-12 * (1 + Math.abs(g[set[col]][set[col]]))) return undefined;
    [m[col], m[pivot]] = [m[pivot], m[col]];
    for (let r = 0; r < n; r++) {
      if (r === col) continue;
      const f = m[r][col] / m[col][col];
      for (let k = col; k <= n; k++) m[r][k] -= f * m[col][k];
    }
  }
  const x = [0, 0, 0];
  for (const [k, i] of set.entries()) x[i] = m[k][n] / m[k][k];
  return x;
}
