/**
 * Rounds shares so that the rounded ones keep their rounded sum (largest remainder). For display only.
 *
 * @param values any non-negative numbers
 * @param digits digits after the point
 * @returns rounded values in the same order
 * @example roundShares([33.4, 33.3, 33.3]) // [34, 33, 33]
 */
export function roundShares(values: readonly number[], digits = 0): number[] {
  const scale = 10 ** digits;
  const scaled = values.map((value) => value * scale);
  const floors = scaled.map((value) => Math.floor(value + 1e-9));
  let missing = Math.round(scaled.reduce((a, b) => a + b, 0)) - floors.reduce((a, b) => a + b, 0);
  const order = scaled
    .map((value, index) => ({ index, rest: value - floors[index] }))
    .sort((a, b) => b.rest - a.rest || a.index - b.index);
  for (const { index } of order) {
    if (missing <= 0) break;
    floors[index] += 1;
    missing -= 1;
  }
  return floors.map((value) => value / scale);
}
