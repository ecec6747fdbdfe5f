import type { Fractions } from '../../src/lib/core/index.ts';

/** Squared distance from the middle, in standard deviations, within which nine in ten of a normal in two directions lie. */
const NINE_IN_TEN = 4.605;

/** Whether a point lies where nine in ten of a normal with the covariance of the draws do; triples of percent. */
export function holds(draws: Float64Array, { sand, silt }: Fractions): boolean {
  const n = draws.length / 3;
  let [meanSand, meanSilt] = [0, 0];
  for (let i = 0; i < n; i++) {
    meanSand += draws[3 * i] / n;
    meanSilt += draws[3 * i + 1] / n;
  }
  let [a, b, c] = [0, 0, 0];
  for (let i = 0; i < n; i++) {
    const [x, y] = [draws[3 * i] - meanSand, draws[3 * i + 1] - meanSilt];
    a += (x * x) / n;
    b += (x * y) / n;
    c += (y * y) / n;
  }
  const [x, y] = [sand - meanSand, silt - meanSilt];
  return (c * x * x - 2 * b * x * y + a * y * y) / (a * c - b * b) < NINE_IN_TEN;
}
