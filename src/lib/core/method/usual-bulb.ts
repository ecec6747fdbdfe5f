import { lastOf } from '../known.ts';
import { effectiveDepth } from '../physics/bulb.ts';

/** Readings that a 152H usually shows at a time, s: where its bulb hangs is known only once it is read. */
const USUAL_READINGS: readonly [timeS: number, gramsL: number][] = [
  [30, 21],
  [40, 20],
  [60, 19],
  [180, 18],
  [600, 17],
  [1800, 16],
  [3600, 15.5],
  [5400, 15.2],
  [7200, 15],
  [23_400, 12],
  [86_400, 10]
];

/**
 * Depth of the bulb at a usual reading: what a plan counts with before anything is read. Between the usual readings along
 * the logarithm of time.
 *
 * @param timeS after set-down
 * @returns mm, see {@link effectiveDepth}
 * @example usualBulbDepth(40) // 130.2
 */
export function usualBulbDepth(timeS: number): number {
  const points = USUAL_READINGS;
  const after = points.findIndex(([s]) => s >= timeS);
  let grams: number;
  if (after === 0) grams = points[0][1];
  else if (after < 0) grams = lastOf(points)[1];
  else {
    const [[s0, g0], [s1, g1]] = [points[after - 1], points[after]];
    grams = g0 + ((g1 - g0) * Math.log(timeS / s0)) / Math.log(s1 / s0);
  }
  return effectiveDepth('152H', grams);
}
